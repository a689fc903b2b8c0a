import Ellipsis from 'lucide-react-native/icons/ellipsis';
import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { countedReadings, isKnown, uncertaintyOf, type SizeResult } from '@core/measuring/measure';
import type { Size } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

import { useChangeRepair } from '../api/useRepair';
import { openSize } from '../inRepair/opened';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useShow } from '../preferences/useShow';
import { Button, IconButton } from '../shared/Button';
import { Wrong } from '../shared/Field';
import { colours } from '../theme/colours';
import { ConstructionFigure } from './derive/ConstructionFigure';
import { DeriveSheet } from './derive/DeriveSheet';
import { Doubt } from '../inRepair/Doubt';
import { JAW_WORDS, KIND_WORDS } from './jaws';
import { LikelySheet } from './LikelySheet';
import { MeasuredSize } from './MeasuredSize';
import { SizeForm } from './SizeForm';
import { SizeMenu } from './SizeMenu';
import { Tag } from './Tag';
import { TakenSheet } from './TakenSheet';

/** One size: what is known of it, and what can be done about it. */
export function OpenSize({
  size,
  result,
  onClose,
  onTaken,
}: {
  size: Size;
  result: SizeResult;
  onClose(): void;
  /** After each reading, with how many there are now. */
  onTaken?: ((count: number) => void) | undefined;
}) {
  const [sheet, setSheet] = useState<'menu' | 'form' | 'taken' | 'likely' | 'derive' | null>(null);
  const closeSheet = () => setSheet(null);
  return (
    <View className="flex-1">
      <View className="flex-row items-center gap-3 border-b border-line bg-brass-soft py-1 pl-4 pr-1.5">
        <Tag letter={size.tag} kind={size.kind} />
        <View className="flex-1">
          <Text numberOfLines={1} className="font-semibold text-[17px] text-ink">
            {size.name}
          </Text>
          <Text numberOfLines={1} className="font-label text-[13.5px] text-muted">
            {size.kind === 'measured' && size.quantity === 'length'
              ? JAW_WORDS[size.jaw]
              : KIND_WORDS[size.kind].toLowerCase()}
            {size.of === 'counterpart' ? ' · counterpart' : ''}
          </Text>
        </View>
        <Known size={size} result={result} />
        <IconButton label={`More for size ${size.tag}`} onPress={() => setSheet('menu')}>
          <Ellipsis size={22} color={colours.ink} />
        </IconButton>
        <IconButton label="All sizes" onPress={onClose}>
          <X size={22} color={colours.ink} />
        </IconButton>
      </View>
      {size.kind === 'measured' ? (
        <MeasuredSize size={size} result={result} onTaken={onTaken} onLikely={() => setSheet('likely')} />
      ) : size.kind === 'derived' ? (
        <DerivedSize size={size} result={result} onChange={() => setSheet('derive')} />
      ) : (
        <GivenSize size={size} onChange={() => setSheet('form')} />
      )}
      {sheet === 'menu' ? (
        <SizeMenu
          size={size}
          onClose={closeSheet}
          onEdit={() => setSheet('form')}
          onTaken={() => setSheet('taken')}
          onDeleted={onClose}
        />
      ) : null}
      {sheet === 'form' ? <SizeForm size={size} onClose={closeSheet} /> : null}
      {sheet === 'taken' ? <TakenSheet size={size} onClose={closeSheet} /> : null}
      {sheet === 'likely' ? <LikelySheet size={size} result={result} onClose={closeSheet} /> : null}
      {sheet === 'derive' ? <DeriveSheet size={size} onClose={closeSheet} /> : null}
    </View>
  );
}

/** The value with its uncertainty; the spread is told beside the readings. */
function Known({ size, result }: { size: Size; result: SizeResult }) {
  const show = useShow();
  if (!isKnown(result)) {
    return (
      <Text className="font-number text-[15px] text-rust">
        {result.status === 'impossible' ? 'check' : 'to take'}
      </Text>
    );
  }
  const doubt = uncertaintyOf(result);
  return (
    <View className="items-end" accessibilityLabel={`Value ${show.full(result.value, size.quantity)}`}>
      <Text
        className={`font-number text-[20px] tabular-nums ${result.status === 'measured' ? 'text-brass' : 'text-ink'}`}
      >
        {`${show.value(result.value, size.quantity)}${size.quantity === 'angle' ? '°' : ''}`}
      </Text>
      {doubt ? (
        <Text className="font-label text-[13px] tabular-nums text-muted">
          {`± ${show.doubt(doubt.expanded, size.quantity)}`}
        </Text>
      ) : null}
    </View>
  );
}

/** A size worked out from others: its figure or formula, and where its doubt comes from. */
function DerivedSize({ size, result, onChange }: { size: Size; result: SizeResult; onChange(): void }) {
  const { derivation } = size;
  return (
    <ScrollView contentContainerClassName="gap-3 p-4">
      {derivation?.by === 'construction' ? (
        <ConstructionFigure
          derivation={derivation}
          quantity={size.quantity}
          result={result}
          onInput={(_key, source) => {
            if (source?.from === 'size') openSize(source.id);
            else onChange();
          }}
        />
      ) : (
        <Text className="font-number text-[20px] text-ink">{`= ${derivation?.text ?? '?'}`}</Text>
      )}
      {result.status === 'impossible' ? <Wrong text={sentenceOf(result.fault)} /> : null}
      {result.status === 'wanted' && result.waitsFor ? (
        <Text className="font-medium text-[15px] leading-6 text-rust">
          {`Take size ${result.waitsFor.tag} (${result.waitsFor.name}) first.`}
        </Text>
      ) : null}
      {result.status === 'derived' ? <Doubt size={size} uncertainty={result.uncertainty} /> : null}
      <Button tone="primary" label="Change how it is worked out" onPress={onChange} />
    </ScrollView>
  );
}

/** A stated or chosen size; one that has readings can go back to them. */
function GivenSize({ size, onChange }: { size: Size; onChange(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const readings = countedReadings(size, repair.readings).length;
  return (
    <View className="gap-3 p-4">
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {size.kind === 'chosen'
          ? 'This number was chosen; nothing outside the spare depends on it.'
          : `This number was stated${size.source ? ` (${size.source})` : ''}.`}
      </Text>
      <Button tone="primary" label="Change the number" onPress={onChange} />
      {readings > 0 ? (
        <Button
          label={`Go back to its ${readings} ${readings === 1 ? 'reading' : 'readings'}`}
          onPress={() => {
            const { givenPlusMinus: _limits, ...measured } = size;
            put(
              'size',
              { ...measured, kind: 'measured', given: null, source: '' },
              `${size.tag} is measured again.`,
            );
          }}
        />
      ) : null}
    </View>
  );
}

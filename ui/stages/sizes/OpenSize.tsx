import Ellipsis from 'lucide-react-native/icons/ellipsis';
import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { SizeResult } from '@core/measure';
import type { Reading, Size } from '@core/model';
import { showNumber, showUncertainty } from '@core/quantity';
import { BENCH_CALIPER } from '@core/standards';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button, IconButton } from '../../shared/Button';
import { colours } from '../../theme/colours';
import { JAW_WORDS } from './jaws';
import { Pad } from './Pad';
import { Readings } from './Readings';
import { SizeForm } from './SizeForm';
import { SizeMenu } from './SizeMenu';
import { Tag } from './Tag';

/** One size being taken: what is known of it, its readings, and the pad. */
export function OpenSize({ size, result, onClose }: { size: Size; result: SizeResult; onClose(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [correcting, setCorrecting] = useState<Reading | null>(null);
  const [sheet, setSheet] = useState<'menu' | 'form' | null>(null);
  const readings = repair.readings.filter((reading) => reading.sizeId === size.id);

  const take = (mm: number, typed: string) => {
    if (correcting) {
      put('reading', { ...correcting, mm, typed, instrumentId: BENCH_CALIPER.id }, 'Reading corrected.');
      setCorrecting(null);
      return;
    }
    put('reading', {
      id: newId(),
      version: 0,
      sizeId: size.id,
      mm,
      typed,
      instrumentId: BENCH_CALIPER.id,
      takenAt: new Date().toISOString(),
      leftOut: null,
      removed: false,
    });
  };
  const place = readings.filter((reading) => !reading.removed);
  return (
    <View className="flex-1">
      <View className="flex-row items-center gap-3 border-b border-line bg-brass-soft py-1 pl-4 pr-1.5">
        <Tag letter={size.tag} kind={size.kind} />
        <View className="flex-1">
          <Text numberOfLines={1} className="font-semibold text-[17px] text-ink">
            {size.name}
          </Text>
          <Text className="font-label text-[13.5px] text-muted">
            {size.kind === 'measured' ? JAW_WORDS[size.jaw] : size.kind}
            {size.of === 'counterpart' ? ' · counterpart' : ''}
          </Text>
        </View>
        <Known result={result} />
        <IconButton label={`More for size ${size.tag}`} onPress={() => setSheet('menu')}>
          <Ellipsis size={22} color={colours.ink} />
        </IconButton>
        <IconButton label="All sizes" onPress={onClose}>
          <X size={22} color={colours.ink} />
        </IconButton>
      </View>
      {size.kind === 'measured' ? (
        <>
          <ScrollView className="flex-1" contentContainerClassName="gap-2 px-4 py-2">
            <Readings
              readings={readings}
              selected={correcting}
              onSelect={(reading) => setCorrecting(reading.id === correcting?.id ? null : reading)}
              put={put}
            />
          </ScrollView>
          <Pad
            key={correcting?.id ?? `new-${place.length}`}
            instrument={BENCH_CALIPER}
            start={correcting ? correcting.typed : ''}
            action={
              correcting
                ? `Correct reading ${place.indexOf(correcting) + 1}`
                : `Take reading ${place.length + 1}`
            }
            onTake={take}
          />
        </>
      ) : (
        <View className="gap-3 p-4">
          <Text className="font-sans text-[16px] leading-6 text-ink">
            {size.kind === 'chosen'
              ? 'This number was chosen; nothing outside the spare depends on it.'
              : `This number was stated${size.source ? ` (${size.source})` : ''}.`}
          </Text>
          <Button tone="primary" label="Change the number" onPress={() => setSheet('form')} />
        </View>
      )}
      {sheet === 'menu' ? (
        <SizeMenu
          size={size}
          onClose={() => setSheet(null)}
          onEdit={() => setSheet('form')}
          onDeleted={onClose}
        />
      ) : null}
      {sheet === 'form' ? <SizeForm size={size} onClose={() => setSheet(null)} /> : null}
    </View>
  );
}

/** Mean with its uncertainty; the spread is told beside the readings. */
function Known({ result }: { result: SizeResult }) {
  if (result.status === 'wanted') return <Text className="font-number text-[15px] text-rust">to take</Text>;
  return (
    <View className="items-end" accessibilityLabel={`Value ${showNumber(result.mm)} mm`}>
      <Text
        className={`font-number text-[20px] tabular-nums ${result.status === 'measured' ? 'text-brass' : 'text-ink'}`}
      >
        {showNumber(result.mm)}
      </Text>
      {result.status === 'measured' ? (
        <Text className="font-label text-[13px] tabular-nums text-muted">
          {`± ${showUncertainty(result.uncertainty.expandedMm)}`}
        </Text>
      ) : null}
    </View>
  );
}

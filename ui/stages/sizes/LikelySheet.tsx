import { Text, View } from 'react-native';

import { isKnown, type SizeResult } from '@core/measure';
import type { Size } from '@core/model';
import { likelyStandards, type LikelyThing } from '@core/standards';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';

/** Standard things that a size may be, most likely first; none for what no table knows. */
export function likelyOf(size: Size, result: SizeResult, pitchMm: number | null = null): LikelyThing[] {
  if (size.quantity !== 'length' || !isKnown(result) || !('uncertainty' in result)) return [];
  if (size.jaw === 'depth' || size.jaw === 'step') return [];
  return likelyStandards({
    mm: result.value,
    standardMm: result.uncertainty.standard,
    side: size.jaw,
    pitchMm,
  });
}

/** Offers the standard things that agree with a size; taking one makes the size stated and keeps its readings. */
export function LikelySheet({ size, result, onClose }: { size: Size; result: SizeResult; onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  // A pitch that was measured tells threads apart.
  const pitch = [...numbers.sizes.values()].find(
    (other) => /pitch/i.test(other.size.name) && isKnown(other.result) && other.size.of === size.of,
  );
  const pitchMm = pitch && isKnown(pitch.result) ? pitch.result.value : null;
  const likely = likelyOf(size, result, pitchMm);
  const accept = (thing: LikelyThing) => {
    put(
      'size',
      {
        ...size,
        kind: 'stated',
        given: Number(thing.nominalMm.toFixed(4)),
        source: `${thing.name}, ${thing.source}`.slice(0, 200),
      },
      `${size.tag} is now ${thing.name}. Its readings are kept.`,
    );
    onClose();
  };
  return (
    <Sheet title={`What might ${size.tag} be?`} onClose={onClose}>
      {likely.length === 0 ? (
        <Text className="font-sans text-[16px] leading-6 text-ink">
          No standard thing agrees with this size. Threads, bearings, bolts, pins, rings, bar and tube were
          looked through.
        </Text>
      ) : (
        <>
          <GroupHeading>
            {pitch ? `With pitch ${pitch.size.tag}, most likely first` : 'Most likely first'}
          </GroupHeading>
          <View className="gap-1.5">
            {likely.map((thing) => (
              <ChoiceRow
                key={thing.name}
                title={thing.name}
                note={`${thing.source} · ${show.length(thing.nominalMm)}`}
                number={`${Math.max(1, Math.round(thing.probability * 100))} %`}
                onPress={() => accept(thing)}
              />
            ))}
          </View>
          <Text className="font-label text-[13.5px] leading-5 text-muted">
            Taking one makes the size stated: the standard’s number is used, and the readings stay with it.
          </Text>
        </>
      )}
    </Sheet>
  );
}

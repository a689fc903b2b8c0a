import { Text, View } from 'react-native';

import type { FoundFigures } from '@core/checking/found';
import { shareWords } from '@core/reporting/wording';

import { useShow } from '../preferences/useShow';

/** Less of a spare than this may be what scanners leave out of corners. */
const LEAST_MISSING = 0.005;

/** By how much a scanned piece is off, where, and what of the spare it lacks. */
export function WhatIsOff({ figures }: { figures: FoundFigures }) {
  const show = useShow();
  const { withinMm, shareOn, mostlyMm, middleMm, furthestOut, furthestIn, shareMissing, scale } = figures;
  const sentences = [
    `${shareWords(shareOn)} of it is within ${show.length(withinMm)} of the spare; 95 % of places are within ${show.length(mostlyMm)}.`,
    scale !== null
      ? `It is ${(100 * Math.abs(scale)).toFixed(1)} % ${scale > 0 ? 'larger' : 'smaller'} than the spare in every direction: it may have been scanned or saved at another scale.`
      : '',
    scale === null && Math.abs(middleMm) > withinMm / 4
      ? `All over it is ${show.length(Math.abs(middleMm))} ${middleMm > 0 ? 'larger' : 'smaller'}, as the median.`
      : '',
    furthestOut
      ? `Furthest outside the spare by ${show.length(furthestOut.mm)}: hatched, at the green ring.`
      : '',
    furthestIn ? `Furthest inside it by ${show.length(furthestIn.mm)}: cross-hatched, at the red ring.` : '',
    shareMissing > LEAST_MISSING
      ? `${shareWords(shareMissing)} of the spare has no scan near it: that part broke off, wore away, or was not scanned.`
      : '',
  ];
  return (
    <View role="status" aria-label="Deviation" className="gap-1">
      {sentences.filter(Boolean).map((sentence) => (
        <Text key={sentence} className="font-sans text-[16px] leading-6 text-ink">
          {sentence}
        </Text>
      ))}
    </View>
  );
}

import { Text } from 'react-native';

import type { TrialResult } from '@core/model';
import { footOf, footSpread } from '@core/trial';

import { useShow } from '../../preferences/useShow';

/** What the edge on the bed measures, and how far its first layer spread. */
export function FootTold({ result }: { result: TrialResult }) {
  const show = useShow();
  const [foot, spread] = [footOf(result), footSpread(result)];
  if (foot === null) return null;
  return (
    <Text className="font-sans text-[15px] leading-[22px] text-ink">
      {spread === null
        ? `${show.length(foot)} at the foot. Measure it above the foot too: the two together say how far the first layer spreads.`
        : `${show.length(foot)} at the foot: its first layer spread by ${show.length(Math.max(0, spread))} on each side, of which ${show.length(result.foot!.takenBackMm)} was taken back. The Workshop learns it, under what trials taught of the machine.`}
    </Text>
  );
}

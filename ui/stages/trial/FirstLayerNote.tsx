import { Text } from 'react-native';

import type { TrialResult } from '@core/record/model';
import { firstLayerOf, elephantFootOf } from '@core/fitting/trial';

import { useShow } from '../../preferences/useShow';

/** What the edge on the bed measures, and how far its first layer spread. */
export function FirstLayerNote({ result }: { result: TrialResult }) {
  const show = useShow();
  const [foot, spread] = [firstLayerOf(result), elephantFootOf(result)];
  if (foot === null) return null;
  return (
    <Text className="font-sans text-[15px] leading-[22px] text-ink">
      {spread === null
        ? `${show.length(foot)} at the first layer. Measure it above the first layer too: the two together give the elephant foot.`
        : `${show.length(foot)} at the first layer: elephant foot of ${show.length(Math.max(0, spread))} per side, of which ${show.length(result.foot!.takenBackMm)} was corrected already. The Workshop learns it, under what trials taught.`}
    </Text>
  );
}

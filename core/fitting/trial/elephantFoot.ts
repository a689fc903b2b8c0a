import { featureOf } from '@core/fitting/fit';
import type { ElephantFoot } from '@core/fitting/learn';
import type { FitFeature, Trial, TrialResult, Workshop } from '@core/record/model';
import { instrumentIn } from '@core/record/workshop';

import { madeOf } from './asked';
import { handOf } from './madeSizes';

/** Whether a size of this kind has an edge that may stand on the bed, where it comes out otherwise. */
export function hasFirstLayer(feature: FitFeature): boolean {
  const { kind } = featureOf(feature);
  return kind === 'inside' || kind === 'outside';
}

/** What it measures across the edge that stood on the bed: the mean of its readings, mm; null where nobody measured there. */
export const firstLayerOf = ({ foot }: Pick<TrialResult, 'foot'>): number | null =>
  foot ? madeOf({ made: foot.made }) : null;

/**
 * How far the first layer spread on each side, mm: what was taken back of it, and half of what its foot differs from what stands above. The error
 * that an instrument has in everything takes itself away. Null where either was not measured.
 */
export function elephantFootOf(result: Pick<TrialResult, 'foot' | 'made' | 'feature'>): number | null {
  const [made, foot] = [madeOf(result), firstLayerOf(result)];
  if (made === null || foot === null) return null;
  const further = featureOf(result.feature).inside ? made - foot : foot - made;
  return result.foot!.takenBackMm + further / 2;
}

/** What trials say of a machine's first layer. */
export function elephantFeetOf(trials: readonly Trial[], workshop: Workshop): ElephantFoot[] {
  return trials.flatMap((trial) =>
    trial.results.flatMap((result, index): ElephantFoot[] => {
      const mm = elephantFootOf(result);
      // What is left out because nobody knows how it lay is measured at the bed all the same; what somebody left out is not.
      if (mm === null || (result.leftOut !== undefined && !result.ofSize)) return [];
      const usual = instrumentIn(workshop, result.made[0]!.instrumentId);
      const hands = [result.made, result.foot!.made].map((made) => handOf({ made }, workshop, usual));
      return [{ id: `${trial.id}/${index}`, trialId: trial.id, mm, handMm: Math.hypot(...hands) / 2 }];
    }),
  );
}

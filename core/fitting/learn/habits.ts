import { FeatureKind, type FitFeature, type Machine } from '@core/record/model';

/** One made size beside what it was asked to be. mm. */
export interface MadeSize {
  id: string;
  /** What was made at one time: a part, a test piece, a gauge row. What went wrong with it went wrong with all of it. */
  trialId: string;
  feature: FeatureKind;
  /** Which kind of fit it is, where that is known: a slot may come out otherwise than a bore. */
  fitFeature?: FitFeature;
  /** The direction of the bed along which it was measured, where that is known. */
  along?: 'x' | 'y';
  /** As it stood in the model. */
  askedMm: number;
  /** As it was measured; the mean of the readings. */
  madeMm: number;
  /** Standard uncertainty of `madeMm` through the hand and the display alone, without the error that its instrument has in everything. */
  handMm: number;
}

export const KINDS = FeatureKind.options;

/** A line that is laid too wide makes holes small and outsides large at once: correlation of the two offsets. */
const INSIDE_WITH_OUTSIDE = -0.6;
/** What scales along the bed scales all that lies along it: correlation of the scales of inside, outside and spacing. */
const SCALES_TOGETHER = 0.97;
/** How surely the stated scatter of a machine is known beforehand: as if from so many values (degrees of freedom). */
export const SCATTER_DEGREES = 6;

/** The machine with what stood there before it learned. */
export function startingOf(machine: Machine): Machine {
  return {
    ...machine,
    corrections: machine.corrections.flatMap((correction) => {
      const { learned, ...stated } = correction;
      if (!learned) return [stated];
      return learned.before ? [{ ...stated, ...learned.before }] : [];
    }),
  };
}

export function correlationOfOffsets(a: FeatureKind, b: FeatureKind): number {
  if (a === b) return 1;
  const both = new Set([a, b]);
  return both.has('inside') && both.has('outside') ? INSIDE_WITH_OUTSIDE : 0;
}

export function correlationOfScales(a: FeatureKind, b: FeatureKind): number {
  if (a === b) return 1;
  return a === 'height' || b === 'height' ? 0 : SCALES_TOGETHER;
}

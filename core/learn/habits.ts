import { FeatureKind, type Instrument, type Machine, type MaterialFamily } from '@core/model';
import { correctionOf, NORMAL_95, permissibleError, UNTRIED_SCALE_DOUBT } from '@core/workshop';

import type { Belief } from './conjugate';

/** One made size beside what it was asked to be. mm. */
export interface MadeSize {
  id: string;
  /** What was made at one time: a part, a test piece, a gauge row. What went wrong with it went wrong with all of it. */
  trialId: string;
  feature: FeatureKind;
  /** As it stood in the model. */
  askedMm: number;
  /** As it was measured; the mean of the readings. */
  madeMm: number;
  /** Standard uncertainty of `madeMm` through the hand and the display alone, without the error that its instrument has in everything. */
  handMm: number;
}

const KINDS = FeatureKind.options;

/**
 * What a machine makes of a size: made − asked = offset + scale × asked, an offset and a scale for each kind of feature. The factors of the eight
 * coefficients: four offsets, then four scales, in the order of the kinds.
 */
export function designOf(feature: FeatureKind, askedMm: number): number[] {
  const place = KINDS.indexOf(feature);
  return [
    ...KINDS.map((_, index) => (index === place ? 1 : 0)),
    ...KINDS.map((_, index) => (index === place ? askedMm : 0)),
  ];
}

/** A line that is laid too broad makes holes small and outsides large at once: correlation of the two offsets. */
const INSIDE_WITH_OUTSIDE = -0.6;
/** What scales along the bed scales all that lies along it: correlation of the scales of inside, outside and spacing. */
const SCALES_TOGETHER = 0.8;
/** How surely the stated scatter of a machine is known beforehand: as if from so many values (degrees of freedom). */
export const SCATTER_DEGREES = 6;
/** A new machine's starting values are meant at about this size, mm. */
const USUAL_SIZE_MM = 20;

/**
 * What is believed of a machine before any trial: its corrections are starting values with their plus or minus. The
 * error that an instrument has in everything is part of each offset as it is learned: it stands in the counterpart's
 * readings too, and takes itself away.
 *
 * @param scatterMm standard deviation that the spread is stated for (see Belief).
 */
export function believedBefore(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  scatterMm: number = machine.scatterMm,
): Belief {
  const known = KINDS.map((feature) => correctionOf(startingOf(machine), family, feature, 0));
  const scales = KINDS.map(
    (feature) => -(correctionAtMm(machine, family, feature, 1) - correctionAtMm(machine, family, feature, 0)),
  );
  const offsetDoubts = known.map(({ plusMinusMm }) => plusMinusMm / NORMAL_95);
  const instrumentMm = permissibleError(instrument, USUAL_SIZE_MM) / Math.sqrt(3);
  const count = KINDS.length;
  const spread = Array.from({ length: 2 * count }, (_, row) =>
    Array.from({ length: 2 * count }, (_, column) => {
      if (row < count !== column < count) return 0;
      if (row < count) {
        const together = correlationOfOffsets(KINDS[row]!, KINDS[column]!);
        return (together * offsetDoubts[row]! * offsetDoubts[column]! + instrumentMm ** 2) / scatterMm ** 2;
      }
      const together = correlationOfScales(KINDS[row - count]!, KINDS[column - count]!);
      return (together * UNTRIED_SCALE_DOUBT ** 2) / scatterMm ** 2;
    }),
  );
  return {
    mean: [...known.map(({ mm }) => -mm), ...scales],
    spread,
    shape: SCATTER_DEGREES / 2,
    rate: (SCATTER_DEGREES / 2) * machine.scatterMm ** 2,
  };
}

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

const correctionAtMm = (machine: Machine, family: MaterialFamily, feature: FeatureKind, sizeMm: number) =>
  correctionOf(startingOf(machine), family, feature, sizeMm).mm;

function correlationOfOffsets(a: FeatureKind, b: FeatureKind): number {
  if (a === b) return 1;
  const both = new Set([a, b]);
  return both.has('inside') && both.has('outside') ? INSIDE_WITH_OUTSIDE : 0;
}

function correlationOfScales(a: FeatureKind, b: FeatureKind): number {
  if (a === b) return 1;
  return a === 'height' || b === 'height' ? 0 : SCALES_TOGETHER;
}

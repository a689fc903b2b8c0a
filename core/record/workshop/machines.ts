import jstat from 'jstat';

import {
  DEFAULT_MACHINE_ID,
  type Correction,
  type FeatureKind,
  type FitFeature,
  type Machine,
  type MaterialFamily,
  type Workshop,
} from '@core/record/model';

import { SMALLEST_MM, untriedDoubts, type DoubtPart } from './untried';

const row = { version: 1, removed: false } as const;

const offset = (
  feature: FeatureKind,
  offsetMm: number,
  plusMinusMm: number,
  learnedFrom: string,
): Correction => ({
  family: 'any',
  feature,
  offsetMm,
  scale: 0,
  plusMinusMm,
  learnedFrom,
});

const PRINTING = 'a starting value for layer printing, no trials yet';
const RESIN = 'a starting value for cured resin, no trials yet';
const CUT = 'sizes are cut as asked';

/** The machines of a new workshop. Their corrections are starting values, until trials teach better ones. */
export const MACHINES: readonly Machine[] = [
  {
    ...row,
    id: DEFAULT_MACHINE_ID,
    name: 'Bench printer',
    process: 'printing',
    scatterMm: 0.025,
    corrections: [
      // Untried ones leave holes 0.05 to 0.2 too small.
      offset('inside', 0.12, 0.1, PRINTING),
      offset('outside', -0.03, 0.08, PRINTING),
      offset('height', 0, 0.05, PRINTING),
      offset('spacing', 0, 0.03, PRINTING),
    ],
    shrinkage: null,
  },
  {
    ...row,
    id: 'quick-printer',
    name: 'Quick printer',
    process: 'printing',
    scatterMm: 0.03,
    corrections: [
      offset('inside', 0.1, 0.1, PRINTING),
      offset('outside', -0.02, 0.08, PRINTING),
      offset('height', 0, 0.05, PRINTING),
      offset('spacing', 0, 0.03, PRINTING),
    ],
    shrinkage: null,
  },
  {
    ...row,
    id: 'wide-printer',
    name: 'Wide printer',
    process: 'printing',
    scatterMm: 0.05,
    corrections: [
      // A wider line follows small circles less well.
      offset('inside', 0.18, 0.14, PRINTING),
      offset('outside', -0.05, 0.12, PRINTING),
      offset('height', 0, 0.08, PRINTING),
      offset('spacing', 0, 0.05, PRINTING),
    ],
    shrinkage: null,
  },
  {
    ...row,
    id: 'resin-printer',
    name: 'Resin printer',
    process: 'resin',
    scatterMm: 0.02,
    corrections: [
      offset('inside', 0.04, 0.08, RESIN),
      offset('outside', -0.02, 0.08, RESIN),
      offset('height', 0, 0.04, RESIN),
      offset('spacing', 0, 0.03, RESIN),
    ],
    shrinkage: { x: 0.004, y: 0.004, z: 0.004 },
  },
  {
    ...row,
    id: 'wide-resin-printer',
    name: 'Wide resin printer',
    process: 'resin',
    scatterMm: 0.03,
    corrections: [
      offset('inside', 0.05, 0.1, RESIN),
      offset('outside', -0.03, 0.1, RESIN),
      offset('height', 0, 0.05, RESIN),
      offset('spacing', 0, 0.04, RESIN),
    ],
    shrinkage: { x: 0.004, y: 0.004, z: 0.004 },
  },
  {
    ...row,
    id: 'casting-bench',
    name: 'Casting bench',
    process: 'casting',
    scatterMm: 0.08,
    corrections: [
      offset('inside', 0, 0.15, 'a starting value for poured resin, no trials yet'),
      offset('outside', 0, 0.15, 'a starting value for poured resin, no trials yet'),
    ],
    shrinkage: { x: 0.008, y: 0.008, z: 0.008 },
  },
  {
    ...row,
    id: 'lathe-mill',
    name: 'Lathe or mill',
    process: 'machining',
    scatterMm: 0.008,
    corrections: [
      offset('inside', 0, 0.01, CUT),
      offset('outside', 0, 0.01, CUT),
      offset('height', 0, 0.02, CUT),
      offset('spacing', 0, 0.02, CUT),
    ],
    shrinkage: null,
  },
  {
    ...row,
    id: 'saw-and-file',
    name: 'Saw, drill and file',
    process: 'sheet',
    scatterMm: 0.1,
    corrections: [
      offset('inside', 0, 0.1, 'drills cut a little large, files a little small'),
      offset('outside', 0, 0.1, 'filed to the line'),
    ],
    shrinkage: null,
  },
];

/**
 * The bench printer as it was while revisions were frozen without the machines that they were made with: what theirs came to stays
 * what it was. It never changes again.
 */
const BEFORE_ROWS: Machine = {
  ...MACHINES[0]!,
  corrections: MACHINES[0]!.corrections.map((correction) =>
    correction.feature === 'inside' ? { ...correction, offsetMm: 0.05 } : correction,
  ),
};

/** The machine of that id, or the bench printer of the first weeks if nobody knows it any more. */
export function machineIn(workshop: Workshop, id: string): Machine {
  return workshop.machines.find((machine) => machine.id === id) ?? BEFORE_ROWS;
}

/** What a machine does to one kind of feature, and what is done about it. Lengths in mm on the diameter. */
export interface WorkedCorrection {
  /** To be added to the size of the model. */
  mm: number;
  /** Expanded uncertainty, 95 %. */
  plusMinusMm: number;
  /** As its row states it, the size left out. */
  statedPlusMinusMm: number;
  learnedFrom: string;
  /** Its doubt and what is made about it: one normal number where trials of before taught it or somebody stated it of what cuts, else several. */
  doubts: readonly DoubtPart[];
  /** What trials taught of new makes; null where nobody tried. */
  learned: { scatterMm: number; degrees: number; instrumentId: string; widened: number } | null;
}

/** What of a kind of feature is asked for: which kind of fit it is, and along which direction of the bed it lies, where that is known. */
export interface Asked {
  fitFeature?: FitFeature;
  along?: 'x' | 'y';
  /** It is the same along every direction. */
  isRound?: boolean;
}

/**
 * The correction of a machine for a feature of some size: offset + scale × size, and what else trials taught. What shrinks is made up for once, in the
 * files (see growthOf).
 */
export function correctionOf(
  machine: Machine,
  family: MaterialFamily,
  feature: FeatureKind,
  sizeMm: number,
  asked: Asked = {},
): WorkedCorrection {
  const known = machine.corrections.filter((correction) => correction.feature === feature);
  const found =
    known.find((correction) => correction.family === family) ??
    known.find((correction) => correction.family === 'any');
  const statedPlusMinusMm = found?.plusMinusMm ?? UNKNOWN_PLUS_MINUS_MM;
  const learnedFrom = found?.learnedFrom ?? 'nothing is known of this kind of feature';
  const line = lineOf(found, asked);
  if (!found?.learned || !line) {
    const doubts = found?.learned
      ? [plainDoubt(found.learned, sizeMm)]
      : untriedDoubts(machine, feature, statedPlusMinusMm / NORMAL_95, sizeMm);
    return {
      mm: found ? found.offsetMm + found.scale * sizeMm : 0,
      plusMinusMm: halfOf95(doubts),
      statedPlusMinusMm,
      learnedFrom,
      doubts,
      learned: found?.learned ? { widened: 1, ...found.learned } : null,
    };
  }
  const factors = [
    1,
    sizeMm,
    feature === 'inside' ? 1 / Math.max(sizeMm, SMALLEST_MM) : 0,
    sidewaysOf(sizeMm, asked),
  ];
  const doubts = line.parts.map(({ share, doubt, scatterMm }) => ({
    share,
    scatterMm,
    standardMm: Math.sqrt(
      Math.max(
        0,
        quadratic(doubt, factors) +
          (asked.along || asked.isRound ? 0 : (doubt.at(-1)! + line.across ** 2) * (sizeMm / 2) ** 2),
      ),
    ),
  }));
  const { offsetMm, scale, smallMm2, across } = line;
  return {
    mm: offsetMm + scale * sizeMm + smallMm2 * factors[2]! + across * factors[3]!,
    plusMinusMm: halfOf95(doubts),
    statedPlusMinusMm,
    learnedFrom,
    doubts,
    learned: { widened: 1, ...found.learned },
  };
}

/** What was learned of that kind of fit, or of others of its kind. */
const lineOf = (found: Correction | undefined, { fitFeature }: Asked) =>
  (fitFeature && found?.learned?.lines?.[fitFeature]) ?? found?.learned?.lines?.any;

const sidewaysOf = (sizeMm: number, { along }: Asked) =>
  along === undefined ? 0 : ((along === 'x' ? 1 : -1) * sizeMm) / 2;

/** xᵀ C x with the lower triangle of C. */
function quadratic(triangle: readonly number[], x: readonly number[]): number {
  let [sum, at] = [0, 0];
  for (let row = 0; row < x.length; row += 1) {
    for (let column = 0; column <= row; column += 1) {
      sum += (row === column ? 1 : 2) * triangle[at]! * x[row]! * x[column]!;
      at += 1;
    }
  }
  return sum;
}

function plainDoubt({ doubt, scatterMm }: NonNullable<Correction['learned']>, sizeMm: number): DoubtPart {
  const [offset, both, scale] = doubt;
  const variance = offset + 2 * both * sizeMm + scale * sizeMm ** 2;
  return { share: 1, standardMm: Math.sqrt(Math.max(0, variance)), scatterMm };
}

/** Half width that holds 95 % of a number that is one of several normal ones about the same mean. */
function halfOf95(doubts: readonly DoubtPart[]): number {
  const beyond = (mm: number) =>
    doubts.reduce(
      (sum, { share, standardMm }) =>
        sum + share * (standardMm > 0 ? 2 * jstat.normal.cdf(-mm, 0, standardMm) : 0),
      0,
    );
  let [low, high] = [0, NORMAL_95 * Math.max(...doubts.map(({ standardMm }) => standardMm))];
  for (let round = 0; round < HALVINGS && high - low > FINE_MM; round += 1) {
    const middle = (low + high) / 2;
    if (beyond(middle) > 0.05) low = middle;
    else high = middle;
  }
  return high;
}

const HALVINGS = 30;
const FINE_MM = 1e-5;

/** Half width of 95 % of a normal number, in standard deviations. */
export const NORMAL_95 = 1.959964;

/** Doubt of a correction that nobody has stated, mm. */
const UNKNOWN_PLUS_MINUS_MM = 0.1;

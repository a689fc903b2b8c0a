import {
  DEFAULT_MACHINE_ID,
  type Correction,
  type FeatureKind,
  type Machine,
  type MaterialFamily,
  type Workshop,
} from '@core/model';

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
      // A broader line follows small circles less well.
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
  /** Expanded uncertainty, about 95 %. */
  plusMinusMm: number;
  learnedFrom: string;
  /** What trials taught of new makes; null where nobody tried. */
  learned: { scatterMm: number; degrees: number; instrumentId: string } | null;
}

/**
 * The correction of a machine for a feature of some size: offset + scale × size. What shrinks is made up for once, in the
 * files (see growthOf).
 */
export function correctionOf(
  machine: Machine,
  family: MaterialFamily,
  feature: FeatureKind,
  sizeMm: number,
): WorkedCorrection {
  const known = machine.corrections.filter((correction) => correction.feature === feature);
  const found =
    known.find((correction) => correction.family === family) ??
    known.find((correction) => correction.family === 'any');
  return {
    mm: found ? found.offsetMm + found.scale * sizeMm : 0,
    plusMinusMm: found ? doubtOf(machine, found, sizeMm) : UNKNOWN_PLUS_MINUS_MM,
    learnedFrom: found?.learnedFrom ?? 'nothing is known of this kind of feature',
    learned: found?.learned ?? null,
  };
}

function doubtOf({ process }: Machine, { plusMinusMm, learned }: Correction, sizeMm: number): number {
  if (!learned) {
    return process === 'printing'
      ? Math.hypot(plusMinusMm, NORMAL_95 * UNTRIED_SCALE_DOUBT * sizeMm)
      : plusMinusMm;
  }
  const [offset, both, scale] = learned.doubt;
  return NORMAL_95 * Math.sqrt(Math.max(0, offset + 2 * both * sizeMm + scale * sizeMm ** 2));
}

/** Half width of 95 % of a normal number, in standard deviations. */
export const NORMAL_95 = 1.959964;
/** What a printer that nobody tried may be off by for each millimetre of size, one standard deviation: belts, and plastic that shrinks as it cools. */
export const UNTRIED_SCALE_DOUBT = 0.001;

/** Doubt of a correction that nobody has stated, mm. */
const UNKNOWN_PLUS_MINUS_MM = 0.1;

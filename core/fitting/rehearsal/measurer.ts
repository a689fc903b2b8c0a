import { featureOf, isRound } from '@core/fitting/fit';
import type { MadeSize } from '@core/fitting/learn';
import type { BedDirection, FitClass, FitFeature } from '@core/record/model';
import { INSTRUMENTS, permissibleError } from '@core/record/workshop';

import type { Lots } from './chances';
import { meanMade, varied, type AskedFor, type RealMachine } from './realMachine';

/** A place where a spare meets something, as it truly is. */
export interface FitPlace {
  feature: FitFeature;
  fitClass: FitClass;
  /** The direction of the bed along which it lies; nobody knows it of what is round. */
  along: BedDirection;
  /** The counterpart's true size, mm. */
  trueMm: number;
}

/** The caliper of all rehearsals. */
export const CALIPER = INSTRUMENTS[0]!;
/** A read-through takes as many of what a fit hangs on. */
const READINGS_OF_COUNTERPART = 5;
const READINGS_OF_MADE = 2;
const ODD_TRIAL = 0.1;

/**
 * The person's bench: one hand, and a caliper of which half of the error is the same in everything it measures, and half is that of its inside or of its
 * outside jaws (ISO 13385-1:2019: error along the scale, shift between jaws).
 */
export class Measurer {
  readonly #offMm: { inside: number; outside: number };

  constructor(private readonly lots: Lots) {
    const half = permissibleError(CALIPER, 20) / 2;
    const common = lots.between(-half, half);
    this.#offMm = {
      inside: common + lots.between(-half, half),
      outside: common + lots.between(-half, half),
    };
  }

  /** One reading as the display shows it. */
  read(trueMm: number, jaws: 'inside' | 'outside'): number {
    const shown = trueMm + this.#offMm[jaws] + CALIPER.repeatability * this.lots.normal();
    return Math.round(shown / CALIPER.resolution) * CALIPER.resolution;
  }

  /** What goes into a hole is measured from outside, and the other way round. */
  readCounterpart({ feature, trueMm }: Pick<FitPlace, 'feature' | 'trueMm'>): number[] {
    const jaws = featureOf(feature).inside ? 'outside' : 'inside';
    return Array.from({ length: READINGS_OF_COUNTERPART }, () => this.read(trueMm, jaws));
  }

  /** A made size as it is written down: the mean of two readings. */
  measureMade(id: string, trialId: string, made: AskedFor & { trueMm: number }): MadeSize {
    const jaws = featureOf(made.feature).inside ? 'inside' : 'outside';
    const readings = Array.from({ length: READINGS_OF_MADE }, () => this.read(made.trueMm, jaws));
    return {
      id,
      trialId,
      feature: featureOf(made.feature).kind,
      fitFeature: made.feature,
      ...(isRound(made.feature) ? {} : { along: made.along }),
      askedMm: made.askedMm,
      madeMm: readings.reduce((sum, one) => sum + one, 0) / readings.length,
      handMm:
        Math.hypot(CALIPER.repeatability, CALIPER.resolution / Math.sqrt(12)) / Math.sqrt(READINGS_OF_MADE),
    };
  }
}

/** A place drawn at random: round things mostly, of 3 to 60 mm, small ones as often as large ones. */
export function drawPlace(lots: Lots): FitPlace {
  const feature = lots.oneOf<FitFeature>([
    ['bore', 35],
    ['peg', 20],
    ['slot', 12],
    ['tab', 8],
    ['recess', 8],
    ['between', 8],
    ['spacing', 9],
  ]);
  const fitClass = lots.oneOf<FitClass>([
    ['loose', 15],
    ['turns', 30],
    ['slides', 22],
    // Holes that take up no play have no spacing that could be right.
    ['snug', feature === 'spacing' ? 0 : 23],
    ['pressed', feature === 'spacing' ? 0 : 10],
  ]);
  const along = lots.uniform() < 0.5 ? 'x' : 'y';
  return { feature, fitClass, along, trueMm: Math.exp(lots.between(Math.log(3), Math.log(60))) };
}

/** One make: what it is off as a whole is the same for all of it. */
export class Make {
  readonly #offMm: number;

  constructor(
    private readonly machine: RealMachine,
    private readonly lots: Lots,
    /** How many the machine has made before. */
    private readonly before: number,
  ) {
    this.#offMm = (machine.makeMm ?? 0) * lots.normal();
  }

  /** What comes out of a size, mm. */
  size(asked: AskedFor): number {
    return meanMade(this.machine, asked, this.before) + this.#offMm + varied(this.machine, this.lots);
  }
}

/** Sizes of one trial part with two to four places, measured; one in ten is odd: all of it off, or one number misread. */
export function measuredTrial(make: Make, bench: Measurer, lots: Lots, trialId: string): MadeSize[] {
  const places = Array.from({ length: 2 + Math.floor(lots.uniform() * 3) }, () => drawPlace(lots));
  const made = places.map(({ feature, trueMm, along }, index) => {
    const asked = { feature, along, askedMm: Math.round(trueMm * 100) / 100 };
    return bench.measureMade(`${trialId}-${index}`, trialId, { ...asked, trueMm: make.size(asked) });
  });
  if (lots.uniform() >= ODD_TRIAL) return made;
  const off = lots.between(0.12, 0.5) * (lots.uniform() < 0.5 ? -1 : 1);
  const misread = lots.uniform() < 0.5 ? Math.floor(lots.uniform() * made.length) : null;
  return made.map((one, index) =>
    misread === null || misread === index ? { ...one, madeMm: one.madeMm + off } : one,
  );
}

/** Steps of a gauge row beside its middle, mm. */
const ROW_STEPS = [-0.3, -0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.4, 0.5];

/** A gauge row for a hole, measured: its nine holes, its length, width and thickness, the distance of its outermost holes and of the middle ones. */
export function measuredGaugeRow(make: Make, bench: Measurer, lots: Lots, trialId: string): MadeSize[] {
  const middleMm = Math.round(lots.between(4, 12) * 100) / 100;
  const pitchMm = Math.max(middleMm + 3.5, 11);
  // It lies along the bed from left to right.
  const asked: AskedFor[] = [
    ...ROW_STEPS.map((step): AskedFor => ({ feature: 'bore', askedMm: middleMm + step, along: 'x' })),
    { feature: 'tab', askedMm: ROW_STEPS.length * pitchMm + 2, along: 'x' },
    { feature: 'tab', askedMm: middleMm + 19.5, along: 'y' },
    { feature: 'between', askedMm: 5, along: 'x' },
    { feature: 'between', askedMm: 5, along: 'x' },
    { feature: 'spacing', askedMm: (ROW_STEPS.length - 1) * pitchMm, along: 'x' },
    { feature: 'spacing', askedMm: 2 * pitchMm, along: 'x' },
  ];
  const made = asked.map((one, index) =>
    bench.measureMade(`${trialId}-${index}`, trialId, { ...one, trueMm: make.size(one) }),
  );
  if (lots.uniform() >= ODD_TRIAL) return made;
  const misread = Math.floor(lots.uniform() * made.length);
  const off = lots.between(0.12, 0.5) * (lots.uniform() < 0.5 ? -1 : 1);
  return made.map((one, index) => (index === misread ? { ...one, madeMm: one.madeMm + off } : one));
}

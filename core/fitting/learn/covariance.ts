import { isRound } from '@core/fitting/fit';
import type { FeatureKind, FitFeature, Instrument, Machine, MaterialFamily } from '@core/record/model';
import { correctionOf, NORMAL_95, permissibleError, SMALLEST_MM } from '@core/record/workshop';

import { correlationOfOffsets, correlationOfScales, startingOf, type MadeSize } from './habits';
import type { Hypothesis } from './hypotheses';

/** A new machine's starting values are meant at about this size, mm. */
const USUAL_SIZE_MM = 20;

/** What makes one kind of feature drift mostly does it to all: correlation of how fast two of them do. */
const DRIFTS_TOGETHER = 0.85;

/** What a machine does to one kind of feature: made − asked = Σ coefficient × factor, with these factors. */
export type Coefficients = readonly [offsetMm: number, scale: number, smallMm2: number, across: number];
export const COEFFICIENTS = 4;

/** The factors of the four coefficients at a size: 1, s, 1/s and half of s along x, less half of it along y. */
export const factorsAt = (sizeMm: number, along?: 'x' | 'y'): [number, number, number, number] => [
  1,
  sizeMm,
  1 / Math.max(sizeMm, SMALLEST_MM),
  along === undefined ? 0 : ((along === 'x' ? 1 : -1) * sizeMm) / 2,
];

/** What corrections are asked for: a kind of size, or one of its kinds of fit. */
export interface Target {
  kind: FeatureKind;
  fitFeature: FitFeature | null;
}

/**
 * What made sizes have in common, term by term, each still to be multiplied by the square of its standard deviation under a hypothesis. The error
 * that an instrument has in everything is part of each offset as it is learned: it stands in the counterpart's readings too, and takes itself away.
 */
export class Terms {
  readonly count: number;
  /** What each is off from the starting corrections, mm. */
  readonly residuals: Float64Array;
  readonly hands: Float64Array;
  /** Index of the make of each, by time. */
  readonly makeOf: readonly number[];
  /** Which belong to each make, by time. */
  readonly members: readonly (readonly number[])[];
  /** Makes between each and the next one to come: 1 for the last. */
  readonly #ages: readonly number[];
  readonly #offsets: Record<FeatureKind, number>;
  readonly #instrumentVariance: number;
  readonly #starting: (kind: FeatureKind, sizeMm: number) => number;
  readonly #matrices: Record<
    'offset' | 'scale' | 'small' | 'feature' | 'across' | 'make' | 'drift',
    Float64Array
  >;

  constructor(
    private readonly made: readonly MadeSize[],
    machine: Machine,
    family: MaterialFamily,
    instrument: Instrument,
  ) {
    const starting = startingOf(machine);
    this.#starting = (kind, sizeMm) => -correctionOf(starting, family, kind, sizeMm).mm;
    this.#offsets = Object.fromEntries(
      (['inside', 'outside', 'spacing', 'height'] as const).map((kind) => [
        kind,
        correctionOf(starting, family, kind, 0).statedPlusMinusMm / NORMAL_95,
      ]),
    ) as Record<FeatureKind, number>;
    this.#instrumentVariance = (permissibleError(instrument, USUAL_SIZE_MM) / Math.sqrt(3)) ** 2;
    this.count = made.length;
    const makes = [...new Set(made.map(({ trialId }) => trialId))];
    this.makeOf = made.map(({ trialId }) => makes.indexOf(trialId));
    this.members = makes.map((_, make) => this.makeOf.flatMap((of, at) => (of === make ? [at] : [])));
    this.#ages = this.makeOf.map((make) => makes.length - make);
    this.residuals = Float64Array.from(
      made,
      ({ feature, askedMm, madeMm }) => madeMm - askedMm - this.#starting(feature, askedMm),
    );
    this.hands = Float64Array.from(made, ({ handMm }) => handMm ** 2);
    this.#matrices = this.#pairs();
  }

  #pairs() {
    const n = this.count;
    const matrix = () => new Float64Array(n * n);
    const all = {
      offset: matrix(),
      scale: matrix(),
      small: matrix(),
      feature: matrix(),
      across: matrix(),
      make: matrix(),
      drift: matrix(),
    };
    for (const [row, a] of this.made.entries()) {
      for (const [column, b] of this.made.entries()) {
        const at = row * n + column;
        const isSameKind = a.feature === b.feature;
        all.offset[at] =
          correlationOfOffsets(a.feature, b.feature) * this.#offsets[a.feature] * this.#offsets[b.feature];
        all.scale[at] = correlationOfScales(a.feature, b.feature) * a.askedMm * b.askedMm;
        all.small[at] = areSmall(a, b) ? factorsAt(a.askedMm)[2] * factorsAt(b.askedMm)[2] : 0;
        all.feature[at] = isSameKind && (row === column || isSameFit(a.fitFeature, b.fitFeature)) ? 1 : 0;
        all.across[at] = this.#across(a, b, row === column);
        all.make[at] = isSameKind && this.makeOf[row] === this.makeOf[column] ? 1 : 0;
        all.drift[at] = (isSameKind ? 1 : DRIFTS_TOGETHER) * this.#ages[row]! * this.#ages[column]!;
      }
    }
    return all;
  }

  /** One whose direction nobody knows is off by as much, but nobody knows which way. */
  #across(a: MadeSize, b: MadeSize, isSelf: boolean): number {
    if (!hasDirection(a) || !hasDirection(b)) return 0;
    if (a.along && b.along) return factorsAt(a.askedMm, a.along)[3] * factorsAt(b.askedMm, b.along)[3];
    return isSelf ? (a.askedMm / 2) ** 2 : 0;
  }

  /** Covariance of all made sizes under a hypothesis, mm²; its lower half. */
  covariance(of: Hypothesis): Float64Array {
    const { offset, scale, small, feature, across, make, drift } = this.#matrices;
    const [o, s, c] = [of.offsetTimes ** 2, of.scale ** 2, of.smallMm2 ** 2];
    const [f, x, m, d] = [of.featureMm ** 2, of.across ** 2, of.makeMm ** 2, of.driftMm ** 2];
    const instrument = this.#instrumentVariance;
    const matrix = new Float64Array(this.count * this.count);
    // Who inverts it reads the lower half alone.
    for (let row = 0; row < this.count; row += 1) {
      for (let at = row * this.count; at <= row * this.count + row; at += 1) {
        matrix[at] =
          instrument +
          o * offset[at]! +
          s * scale[at]! +
          c * small[at]! +
          f * feature[at]! +
          x * across[at]! +
          m * make[at]! +
          d * drift[at]!;
      }
      matrix[row * this.count + row]! += of.scatterMm ** 2 + this.hands[row]!;
    }
    return matrix;
  }

  /** Covariance of a target's coefficients with each made size, a row a coefficient. */
  withTarget({ kind, fitFeature }: Target, of: Hypothesis): Float64Array[] {
    const rows = Array.from({ length: COEFFICIENTS }, () => new Float64Array(this.count));
    const [instrument, offsets] = [this.#instrumentVariance, this.#offsets];
    for (const [index, one] of this.made.entries()) {
      const isItself = one.feature === kind && fitFeature !== null && one.fitFeature === fitFeature;
      rows[0]![index] =
        instrument +
        of.offsetTimes ** 2 * correlationOfOffsets(kind, one.feature) * offsets[kind] * offsets[one.feature] +
        (isItself ? of.featureMm ** 2 : 0);
      rows[1]![index] = of.scale ** 2 * correlationOfScales(kind, one.feature) * one.askedMm;
      rows[2]![index] =
        kind === 'inside' && one.feature === 'inside' ? of.smallMm2 ** 2 * factorsAt(one.askedMm)[2] : 0;
      rows[3]![index] =
        hasDirection({ feature: kind, fitFeature: fitFeature ?? undefined }) && hasDirection(one)
          ? of.across ** 2 * factorsAt(one.askedMm, one.along)[3]
          : 0;
    }
    return rows;
  }

  /** What the coefficients of a target may be off before anything was measured: variances. */
  before({ kind, fitFeature }: Target, of: Hypothesis): Coefficients {
    return [
      this.#instrumentVariance + (of.offsetTimes * this.#offsets[kind]) ** 2 + of.featureMm ** 2,
      of.scale ** 2,
      kind === 'inside' ? of.smallMm2 ** 2 : 0,
      hasDirection({ feature: kind, fitFeature: fitFeature ?? undefined }) ? of.across ** 2 : 0,
    ];
  }

  /** What the starting corrections say of a kind: offset and scale of made less asked. */
  startingLine(kind: FeatureKind): [offsetMm: number, scale: number] {
    const offsetMm = this.#starting(kind, 0);
    return [offsetMm, this.#starting(kind, 1) - offsetMm];
  }
}

/** Heights and what is round are the same along every direction of the bed. */
const hasDirection = ({
  feature,
  fitFeature,
}: {
  feature: FeatureKind;
  fitFeature?: FitFeature | undefined;
}) => feature !== 'height' && !(fitFeature && isRound(fitFeature));

const areSmall = (a: MadeSize, b: MadeSize) => a.feature === 'inside' && b.feature === 'inside';

/** Two of which nobody said what they are may well be different things. */
const isSameFit = (a: FitFeature | undefined, b: FitFeature | undefined) => a !== undefined && a === b;

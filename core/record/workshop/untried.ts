import type { FeatureKind, Process } from '@core/record/model';

import { isPrinter } from './isPrinter';

/**
 * What may be true of a machine before anything is measured that it made. Printers differ in kind and not only in degree (one prints true, one
 * shrinks by a hundredth, one leaves small holes much smaller), so no single normal belief holds: there are several, each with a weight, and what
 * is measured chooses among them (Bayesian model averaging: Hoeting et al., Statistical Science 14, 1999).
 */
export interface StartingBelief {
  /** How likely it is beforehand; all add up to 1. */
  weight: number;
  /** How many times as far off as its row states an offset may be. */
  offsetTimes: number;
  /** Standard deviation of the scale, a share of the size. */
  scale: number;
}

/** Half of the printers are about as stated; some shrink or stretch several times as much, some have offsets far from what is usual. */
const OF_PRINTERS: readonly StartingBelief[] = [
  { weight: 0.55, offsetTimes: 1.2, scale: 0.0012 },
  { weight: 0.22, offsetTimes: 2.3, scale: 0.0012 },
  { weight: 0.16, offsetTimes: 1.2, scale: 0.007 },
  { weight: 0.07, offsetTimes: 2.3, scale: 0.007 },
];
/** What cuts goes by its own scale, which is checked when it is set up. */
const OF_OTHERS: readonly StartingBelief[] = [
  { weight: 0.7, offsetTimes: 1, scale: 0 },
  { weight: 0.3, offsetTimes: 2, scale: 0.001 },
];

export const startingBeliefs = (process: Process): readonly StartingBelief[] =>
  isPrinter({ process }) ? OF_PRINTERS : OF_OTHERS;

/** How many times the stated scatter the true one may be, with how likely that is: log-normal, a factor of 1.6 either way. */
export const SCATTER_TIMES: readonly { times: number; weight: number }[] = (() => {
  const steps = [-1.05, -0.7, -0.35, 0, 0.35, 0.7, 1.05, 1.4];
  const raw = steps.map((step) => Math.exp(-0.5 * (step / 0.5) ** 2));
  const all = raw.reduce((sum, one) => sum + one, 0);
  return steps.map((step, index) => ({ times: Math.exp(step), weight: raw[index]! / all }));
})();

/**
 * What a machine may do besides an offset and a scale. Each is either next to nothing or as large as stated here (one standard deviation):
 * data have to ask for it.
 */
export const BESIDES = {
  /** Small holes are smaller still, by so much over the size: mm². */
  smallMm2: { likely: 0.1, least: 0.03, large: 0.35 },
  /** A kind of feature differs from others that are made the same way (a slot from a bore), mm. */
  featureMm: { likely: 0.12, least: 0.01, large: 0.06 },
  /** What lies along x scales otherwise than what lies along y: a share of the size. */
  across: { likely: 0.12, least: 0.0003, large: 0.003 },
  /** A make has an offset of its own, mm. */
  makeMm: { likely: 0.12, least: 0.006, large: 0.03 },
  /** It changes from make to make in one direction, mm a make. */
  driftMm: { likely: 0.22, least: 0, large: 0.012 },
} as const;
export type Besides = keyof typeof BESIDES;

/** One of several normal doubts of a correction. Standard deviations, mm. */
export interface DoubtPart {
  share: number;
  /** Of the correction itself at that size. */
  standardMm: number;
  /** Of what is made about its mean. */
  scatterMm: number;
}

/** What is doubtful of a stated correction at some size, before anything was measured. */
export function untriedDoubts(
  { process, scatterMm }: { process: Process; scatterMm: number },
  kind: FeatureKind,
  offsetMm: number,
  sizeMm: number,
): DoubtPart[] {
  const { smallMm2, featureMm, makeMm } = BESIDES;
  const prints = isPrinter({ process });
  return startingBeliefs(process).flatMap(({ weight, offsetTimes, scale }) => {
    const plain = Math.hypot(offsetTimes * offsetMm, scale * sizeMm);
    if (!prints) return [{ share: weight, standardMm: plain, scatterMm }];
    const small = (kind === 'inside' ? 1 : 0) / Math.max(sizeMm, SMALLEST_MM);
    const other = featureMm.likely + makeMm.likely;
    return SPREADS.flatMap(({ times, weight: likely }) => [
      {
        share: weight * likely * (1 - smallMm2.likely - other),
        standardMm: Math.hypot(plain, featureMm.least),
        scatterMm: Math.hypot(times * scatterMm, makeMm.least),
      },
      {
        share: weight * likely * smallMm2.likely,
        standardMm: Math.hypot(plain, featureMm.least, smallMm2.large * small),
        scatterMm: Math.hypot(times * scatterMm, makeMm.least),
      },
      {
        share: weight * likely * featureMm.likely,
        standardMm: Math.hypot(plain, featureMm.large),
        scatterMm: Math.hypot(times * scatterMm, makeMm.least),
      },
      {
        share: weight * likely * makeMm.likely,
        standardMm: Math.hypot(plain, featureMm.least),
        scatterMm: Math.hypot(times * scatterMm, makeMm.large),
      },
    ]);
  });
}

/** Below this what a term in 1 over the size says is no longer meant, mm. */
export const SMALLEST_MM = 1;

const SPREADS = [
  { times: 0.7, weight: 0.3 },
  { times: 1, weight: 0.4 },
  { times: 1.7, weight: 0.3 },
];

import type { Process } from '@core/record/model';
import { BESIDES, SCATTER_TIMES, startingBeliefs, type Besides } from '@core/record/workshop';

/** What a machine may be like: standard deviations of what it does, with how likely all that is before anything is measured. */
export interface Hypothesis {
  /** Logarithm of how likely it is beforehand. */
  logPrior: number;
  /** How many times as far off as stated the offsets may be. */
  offsetTimes: number;
  /** Share of the size. */
  scale: number;
  scatterMm: number;
  smallMm2: number;
  featureMm: number;
  across: number;
  makeMm: number;
  driftMm: number;
}

const KINDS_BESIDE = Object.keys(BESIDES) as Besides[];

const PAIRS: readonly (readonly [Besides, Besides])[] = KINDS_BESIDE.flatMap((one, at) =>
  KINDS_BESIDE.slice(at + 1).map((other) => [one, other] as const),
);

/** Where a printer begins: which starting belief, and how many times the stated scatter. */
interface Start {
  offsetTimes: number;
  scale: number;
  scatterMm: number;
  logPrior: number;
}

function hypothesisOf(start: Start, large: readonly Besides[]): Hypothesis {
  let { logPrior } = start;
  const beside = {} as Record<Besides, number>;
  for (const kind of KINDS_BESIDE) {
    const { likely: share, least, large: much } = BESIDES[kind];
    const isLarge = large.includes(kind);
    logPrior += Math.log(isLarge ? share : 1 - share);
    beside[kind] = isLarge ? much : least;
  }
  return { ...start, logPrior, ...beside };
}

/**
 * All that is thought possible of a machine: each start with none of what a machine may do besides an offset and a scale, with each alone and with each
 * two of them. Two are only tried together where one of them alone is not far behind, and starts only further where they are not far behind themselves (Madigan &
 * Raftery's window, Journal of the American Statistical Association 89, 1994).
 *
 * @param weigh how likely a hypothesis is, given what was made.
 */
export function eachLikely<T extends { logWeight: number }>(
  process: Process,
  statedScatterMm: number,
  weigh: (hypothesis: Hypothesis) => T,
): T[] {
  const starts = startingBeliefs(process).flatMap(({ weight, offsetTimes, scale }) =>
    SCATTER_TIMES.map(({ times, weight: likely }): Start => ({
      offsetTimes,
      scale,
      scatterMm: times * statedScatterMm,
      logPrior: Math.log(weight * likely),
    })),
  );
  const scatters = SCATTER_TIMES.length;
  const plain = starts.map((start) => weigh(hypothesisOf(start, [])));
  const best = Math.max(...plain.map(({ logWeight }) => logWeight));
  const all = [...plain];
  for (const [at, start] of starts.entries()) {
    // What else it does may take the place of scatter, so that the next larger one counts as well.
    const larger = at % scatters === scatters - 1 ? -Infinity : plain[at + 1]!.logWeight;
    const largest = at % scatters >= scatters - 2 ? -Infinity : plain[at + 2]!.logWeight;
    if (Math.max(plain[at]!.logWeight, larger, largest) < best - WINDOW) continue;
    const alone = new Map(KINDS_BESIDE.map((kind) => [kind, weigh(hypothesisOf(start, [kind]))]));
    all.push(...alone.values());
    const good = Math.max(plain[at]!.logWeight, ...[...alone.values()].map(({ logWeight }) => logWeight));
    for (const pair of PAIRS) {
      if (pair.some((kind) => alone.get(kind)!.logWeight > good - PAIR_WINDOW))
        all.push(weigh(hypothesisOf(start, pair)));
    }
  }
  return all;
}

/** Logarithms of how many times less likely is next to impossible, and is not worth putting together with others. */
const WINDOW = 7;
const PAIR_WINDOW = 1;

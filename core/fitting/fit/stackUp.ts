import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

import { addErrors, type InstrumentError } from '@core/measuring/measure';

/** One link as it is added up: a length that may be off by so much. mm. */
export interface StackLink {
  mm: number;
  plusMinusMm: number;
  sign: 1 | -1;
  times: number;
  /** What of `plusMinusMm` is the error of instruments, which other links may share; `standard` is the same 95 %. */
  shared?: readonly InstrumentError[];
}

/** What a chain of lengths adds up to. mm. */
export interface StackUp {
  nominalMm: number;
  /** All links at their worst at once. */
  worst: { fromMm: number; toMm: number };
  /** Root sum square: what the sum stays within in about 95 % of cases. */
  likely: { fromMm: number; toMm: number };
  /** Share of simulated chains within the wished limits; null when there are none. */
  chance: number | null;
  /** Link that counts most for the spread, by its place; null when nothing is off. */
  largest: number | null;
}

/** Simulated chains: enough for a percentage that a second seed would not move by more than a half. */
const TRIALS = 20_000;
/** The same chain always gives the same chance. */
const SEED = 20_260;
/** A plus or minus is taken as two standard deviations of a normal scatter. */
const PER_STANDARD = 1.959964;

/**
 * Adds up a chain of lengths: worst case, root sum square of deviations (GUM 5.1.2), and the chance of staying within limits by
 * simulation. Links repeated `times` err each on their own, but for what an instrument has in all that it measured, which is added up as
 * `addErrors` says.
 *
 * @param limits smallest and largest sum that will do; null for none.
 */
export function stackUp(
  links: readonly StackLink[],
  limits: { fromMm: number | null; toMm: number | null },
): StackUp {
  const nominalMm = links.reduce((sum, { mm, sign, times }) => sum + sign * times * mm, 0);
  const worst = links.reduce((sum, { plusMinusMm, times }) => sum + times * plusMinusMm, 0);
  const squares = links.map(({ plusMinusMm, times }) => times * plusMinusMm ** 2);
  const own = links.reduce((sum, link) => sum + link.times * ownPlusMinus(link) ** 2, 0);
  const instruments = instrumentSums(links);
  const likely = Math.hypot(Math.sqrt(own), ...instruments);
  const most = Math.max(0, ...squares);
  return {
    nominalMm,
    worst: { fromMm: nominalMm - worst, toMm: nominalMm + worst },
    likely: { fromMm: nominalMm - likely, toMm: nominalMm + likely },
    chance: limits.fromMm === null && limits.toMm === null ? null : simulate(links, limits),
    largest: most > 0 ? squares.indexOf(most) : null,
  };
}

function simulate(
  links: readonly StackLink[],
  { fromMm, toMm }: { fromMm: number | null; toMm: number | null },
): number {
  const random = xoroshiro128plus(SEED);
  const normal = normalSource(() => uniformFloat64(random));
  const instruments = instrumentSums(links).map((plusMinusMm) => plusMinusMm / PER_STANDARD);
  const spreads = links.map((link) => ownPlusMinus(link) / PER_STANDARD);
  let within = 0;
  for (let trial = 0; trial < TRIALS; trial += 1) {
    let sum = 0;
    for (const [index, { mm, sign, times }] of links.entries()) {
      for (let time = 0; time < times; time += 1) sum += sign * (mm + spreads[index]! * normal());
    }
    for (const standard of instruments) sum += standard * normal();
    if ((fromMm === null || sum >= fromMm) && (toMm === null || sum <= toMm)) within += 1;
  }
  return within / TRIALS;
}

/** What a link has to itself. */
function ownPlusMinus({ plusMinusMm, shared = [] }: StackLink): number {
  const square = shared.reduce((left, part) => left - part.standard ** 2, plusMinusMm ** 2);
  return Math.sqrt(Math.max(0, square));
}

/** By instrument, what its error comes to in the sum, mm. */
const instrumentSums = (links: readonly StackLink[]): number[] =>
  addErrors(
    links.flatMap(({ sign, times, shared = [] }) =>
      shared.map((error) => ({ ...error, standard: sign * times * error.standard })),
    ),
  ).map(({ standard }) => standard);

/** Standard normal numbers from uniform ones (Box and Muller, Ann. Math. Stat. 29, 1958). */
export function normalSource(uniform: () => number): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}

import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

import { normalSource } from '@core/fitting/fit';

/** Everything that is drawn in a rehearsal, from one seed. */
export interface Lots {
  /** From 0 up to 1. */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
  between(from: number, to: number): number;
  /** One of several, each as often as its weight says. */
  oneOf<T>(choices: readonly (readonly [T, number])[]): T;
}

export function lotsOf(seed: number): Lots {
  const random = xoroshiro128plus(seed);
  const uniform = () => uniformFloat64(random);
  // Seeds that are near to each other begin alike; what follows is mixed.
  for (let skipped = 0; skipped < 40; skipped += 1) uniform();
  const normal = normalSource(uniform);
  return {
    uniform,
    normal,
    between: (from, to) => from + uniform() * (to - from),
    oneOf(choices) {
      const all = choices.reduce((sum, [, weight]) => sum + weight, 0);
      let left = uniform() * all;
      for (const [choice, weight] of choices) {
        left -= weight;
        if (left < 0) return choice;
      }
      return choices.at(-1)![0];
    },
  };
}

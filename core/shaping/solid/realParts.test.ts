import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { testKernel } from '@core/testing/kernel';
import { LONG } from '@core/testing/long';
import { REAL_PARTS, repairOf } from '@core/testing/parts';
import { sentenceOf } from '@core/reporting/wording';

import { BodyBuilder } from './bodyBuilder';

/** After how long no further size of a part is changed, ms; in the long run all of them are. */
const ENOUGH_MS = LONG ? Infinity : 2500;

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

test('there are more than twenty of 8 steps and more, two of them of 20 to 40', () => {
  expect(REAL_PARTS.length).toBe(22);
  expect(REAL_PARTS.filter(({ steps }) => steps.length >= 20 && steps.length <= 40)).toHaveLength(2);
  for (const { steps } of REAL_PARTS) expect(steps.length).toBeGreaterThanOrEqual(8);
});

describe.each(REAL_PARTS.map((part) => [part.name, part] as const))('%s', (_name, part) => {
  test('has the volume of its closed formula', () => {
    const repair = repairOf(part);
    const builder = new BodyBuilder(kernel, true);
    const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    const told = built.steps.flatMap((step) =>
      step.state === 'failed' ? [[step.stepId, sentenceOf(step.fault)]] : [],
    );
    expect(told).toEqual([]);
    expect(built.steps.every(({ state }) => state === 'built')).toBe(true);
    expect(part.holds(part.sizes)).toBe(true);
    expect(built.check!.volumeMm3 / part.volume(part.sizes)).toBeCloseTo(1, 5);
    builder.dispose();
  });

  test('sizes changed by up to 30 %, in any order: of that volume, or told at its step', () => {
    const builder = new BodyBuilder(kernel, true);
    const generator = xoroshiro128plus(1 + REAL_PARTS.indexOf(part));
    const random = () => uniformFloat64(generator);
    let good = { ...part.sizes };
    let held = 0;
    const begun = performance.now();
    for (const name of shuffled(Object.keys(part.sizes), random)) {
      if (performance.now() - begun > ENOUGH_MS && held > 0) break;
      const other = part.sizes[name]! * (0.7 + 0.6 * random());
      const round = name.endsWith('Count') ? 1 : 1000;
      const sizes = { ...good, [name]: Math.round(other * round) / round };
      const repair = repairOf(part, sizes);
      const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
      const failed = built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : []));
      for (const fault of failed) {
        // What goes no longer is told by what it is, and not by the kernel's having given up on it.
        expect([fault.code, sizes]).not.toEqual(['step.kernelFailed', sizes]);
        expect(sentenceOf(fault)).toMatch(/[.]$/);
      }
      // What cannot be is put back, as anybody would.
      if (failed.length > 0 || !part.holds(sizes)) continue;
      good = sizes;
      held += 1;
      expect([built.check!.volumeMm3 / part.volume(sizes), sizes]).toEqual([expect.closeTo(1, 5), sizes]);
    }
    expect(held).toBeGreaterThan(LONG ? 2 : 0);
    builder.dispose();
  }, 180_000);
});

function shuffled<T>(items: readonly T[], random: () => number): T[] {
  return items
    .map((item) => ({ item, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ item }) => item);
}

import { STEP_KINDS } from '@core/record/model';
import type { Kernel } from '@core/shaping/kernel';
import { stepFigure } from '@core/shaping/solid';
import { STEP_FIGURES } from '@core/shaping/steps/figures';
import { testKernel } from '@core/testing/kernel';
import { lettersFont } from '@core/testing/lettersFont';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** Drawings are kept to two hundredths of a millimetre. */
const rounded = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_key, one: unknown) =>
      typeof one === 'number' ? Math.round(one * 50) / 50 : one,
    ),
  );

test.each(STEP_KINDS)('%s is drawn as its example is built, and as it is shipped', (kind) => {
  const figure = stepFigure(kernel, kind, lettersFont());
  expect(rounded(figure)).toEqual(STEP_FIGURES[kind]);
  expect(figure.outline.length).toBeGreaterThan(0);
  // What a step did to a part can be seen: edges of its own, or all of them beside what was there.
  for (const index of figure.made) expect(index).toBeLessThan(figure.edges.length);
  if (figure.ghost.length > 0) expect(figure.made).toEqual([]);
});

test('a hole is two rims at most, and a peg leaves the plate under it as it was', () => {
  expect(STEP_FIGURES.hole.made.length).toBeGreaterThan(0);
  expect(STEP_FIGURES.hole.made.length).toBeLessThanOrEqual(3);
  const { edges, made } = STEP_FIGURES.peg;
  // The plate shows nine edges, of which the peg may hide some.
  expect(edges.length - made.length).toBeGreaterThanOrEqual(7);
});

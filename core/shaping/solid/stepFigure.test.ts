import { STEP_KINDS } from '@core/record/model';
import type { Kernel } from '@core/shaping/kernel';
import { CHOICE_FIGURES } from '@core/shaping/sentence';
import { choiceFigure, stepFigure } from '@core/shaping/solid';
import { CHOICE_DRAWINGS } from '@core/shaping/steps/choiceFigures';
import { STEP_FIGURES } from '@core/shaping/steps/figures';
import { testKernel } from '@core/testing/kernel';
import { lettersFont } from '@core/testing/lettersFont';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** Drawings are kept to two hundredths of a millimetre, those of choices to a tenth. */
const rounded = (value: unknown, perMm = 50): unknown =>
  JSON.parse(
    JSON.stringify(value, (_key, one: unknown) =>
      typeof one === 'number' ? Math.round(one * perMm) / perMm : one,
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

test.each(CHOICE_FIGURES)(
  'the choice %s is drawn as its example is built, and as it is shipped',
  (choice) => {
    expect(rounded(choiceFigure(kernel, choice), 10)).toEqual(CHOICE_DRAWINGS[choice]);
  },
);

test('choices that stand side by side can be told apart', () => {
  const drawings = Object.entries(CHOICE_DRAWINGS).map(
    ([id, { key: _key, ...drawing }]) => [id, JSON.stringify(drawing)] as const,
  );
  const same = drawings.flatMap(([id, text], at) =>
    drawings.slice(0, at).flatMap(([other, before]) => (before === text ? [`${other} ${id}`] : [])),
  );
  // The pocket for a nut is drawn with the nut at its mouth, which is also where it may be put.
  expect(same).toEqual(['headNut nutMouth']);
});

test('a hole is two rims at most, and a peg leaves the plate under it as it was', () => {
  expect(STEP_FIGURES.hole.made.length).toBeGreaterThan(0);
  expect(STEP_FIGURES.hole.made.length).toBeLessThanOrEqual(3);
  const { edges, made } = STEP_FIGURES.peg;
  // The plate shows nine edges, of which the peg may hide some.
  expect(edges.length - made.length).toBeGreaterThanOrEqual(7);
});

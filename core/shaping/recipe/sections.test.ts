import type { Step } from '@core/record/model';
import { lotsOf } from '@core/fitting/rehearsal';
import { REAL_PARTS } from '@core/testing/parts';

import { sectionsOf, withoutStep, withStepCopied, withStepMoved, withStepTo } from './index';

const [{ steps }] = REAL_PARTS as [(typeof REAL_PARTS)[number]];
/** Steps a to f; b begins Rim and e begins Holes. */
const recipe = ['a', 'b', 'c', 'd', 'e', 'f'].map((id, index): Step => ({
  ...steps[index]!,
  id,
  ...(id === 'b' ? { heading: 'Rim' } : id === 'e' ? { heading: 'Holes' } : {}),
}));
const told = (of: readonly Step[]) =>
  sectionsOf(of)
    .map(({ name, steps: inIt }) => `${name ?? ''}:${inIt.map(({ id }) => id).join('')}`)
    .join(' ');

test('a recipe is told in its sections', () => {
  expect(told(recipe)).toBe(':a Rim:bcd Holes:ef');
  expect(told([])).toBe('');
});

test.each([
  ['within a section', 'c', 3, ':a Rim:bdc Holes:ef'],
  ['from where a section begins: the next step begins it', 'b', 2, ':a Rim:cbd Holes:ef'],
  ['up to where a section begins: it is the first of it', 'd', 1, ':a Rim:dbc Holes:ef'],
  ['down past the end of its section', 'd', 4, ':a Rim:bc Holes:edf'],
  ['to the end', 'a', 5, 'Rim:bcd Holes:efa'],
  ['to where it is', 'e', 4, ':a Rim:bcd Holes:ef'],
])('a step is moved %s', (_, id, to, expected) => {
  expect(told(withStepTo(recipe, id, to))).toBe(expected);
});

test('a section stays when the step goes with which it began, and goes with its last one', () => {
  expect(told(withoutStep(recipe, 'b'))).toBe(':a Rim:cd Holes:ef');
  expect(told(withoutStep(withoutStep(recipe, 'f'), 'e'))).toBe(':a Rim:bcd');
  expect(told(withoutStep(withoutStep(withoutStep(recipe, 'b'), 'c'), 'd'))).toBe(':a Holes:ef');
});

test('a copy begins no second section', () => {
  expect(told(withStepCopied(recipe, 'e', 'x'))).toBe(':a Rim:bcd Holes:exf');
});

test('however steps are moved, every one of them is there once, and no section begins twice', () => {
  const { uniform: random } = lotsOf(7);
  let now: Step[] = recipe;
  for (let turn = 0; turn < 500; turn += 1) {
    const { id } = now[Math.floor(random() * now.length)]!;
    now =
      random() < 0.5
        ? withStepMoved(now, id, random() < 0.5 ? 1 : -1)
        : withStepTo(now, id, Math.floor(random() * 6));
    expect(now.map((step) => step.id).sort()).toEqual(['a', 'b', 'c', 'd', 'e', 'f']);
    const names = now.flatMap(({ heading }) => heading ?? []);
    expect(new Set(names).size).toBe(names.length);
  }
});

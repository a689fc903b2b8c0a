import { LAYER_PRINTERS } from '@core/record/workshop';

import { firstLayerLearned, printerThatLearned, type ElephantFoot } from './firstLayer';

const printer = { ...LAYER_PRINTERS[0]!, firstLayerSpreadMm: 0.1 };
const machine = { scatterMm: 0.02 };
const spreads = (...mms: number[]): ElephantFoot[] =>
  mms.map((mm, index) => ({ id: `${index}`, trialId: `trial ${index}`, mm, handMm: 0.007 }));
const learnedFrom = (...mms: number[]) => firstLayerLearned(printer, machine, spreads(...mms))!;

test('nothing measured teaches nothing', () => {
  expect(firstLayerLearned(printer, machine, [])).toBeNull();
});

test('one value pulls the stated one over by how sure each is', () => {
  // Stated 0.1 ± 0.12 beside 0.15 that scatters by 0.0141 and the hand's 0.007: nearly all of the way.
  const { mm, plusMinusMm, count } = learnedFrom(0.15);
  const [stated, seen] = [1 / 0.12 ** 2, 1 / (0.02 ** 2 / 2 + 0.007 ** 2)];
  expect(mm).toBeCloseTo((0.1 * stated + 0.15 * seen) / (stated + seen), 2);
  expect(plusMinusMm).toBeGreaterThan(0.02);
  expect(plusMinusMm).toBeLessThan(0.05);
  expect(count).toBe(1);
});

test('many values stand for themselves, surer by the root of how many', () => {
  const off = [-1, 1, -0.5, 0.5, -1.2, 1.2, 0.2, -0.2].map((share) => 0.17 + share * 0.014);
  const few = learnedFrom(...off);
  const more = learnedFrom(...Array.from({ length: 4 }, () => off).flat());
  expect(few.mm).toBeCloseTo(0.17, 2);
  expect(more.mm).toBeCloseTo(0.17, 3);
  // Twice, and a little for the scatter that is known better.
  expect(few.plusMinusMm / more.plusMinusMm).toBeGreaterThan(1.8);
  expect(few.plusMinusMm / more.plusMinusMm).toBeLessThan(2.5);
});

test('one with a string of plastic at its foot hardly counts', () => {
  const { mm, odd, count } = learnedFrom(0.168, 0.172, 0.17, 0.175, 0.165, 0.62);
  expect(mm).toBeCloseTo(0.17, 2);
  expect(odd).toEqual(['5']);
  expect(count).toBe(5);
});

test('a first layer is never taken to draw in', () => {
  expect(learnedFrom(-0.05, -0.05, -0.05).mm).toBe(0);
});

test('what was learned stands beside the stated figure, for its family alone, until it is forgotten', () => {
  const learned = learnedFrom(0.17, 0.17);
  const taught = printerThatLearned(printer, 'plastic', learned);
  const both = printerThatLearned(taught, 'soft', learnedFrom(0.3));
  expect(taught.firstLayerSpreadMm).toBe(0.1);
  expect(both.learnedSpreads!.map(({ family }) => family)).toEqual(['plastic', 'soft']);
  expect(printerThatLearned(both, 'soft', null)).toEqual(taught);
  expect(printerThatLearned(taught, 'plastic', null)).toEqual(printer);
});

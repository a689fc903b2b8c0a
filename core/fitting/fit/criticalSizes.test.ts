import { rackWheel } from '@core/testing/repairDraft';
import { askedOf, clearanceMeasured, machineAfter, newTrial, wantedOf } from '@core/fitting/trial';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { criticalSizes } from './criticalSizes';
import { evaluateRepair } from './evaluateRepair';

const wheel = () => {
  const repair = rackWheel();
  for (const size of repair.sizes) size.importance = 'critical';
  return repair;
};

test('critical sizes of the piece that a body is made with, not those of counterparts or of nothing', () => {
  const repair = wheel();
  const found = (bodyId?: string) =>
    criticalSizes(repair, evaluateRepair(repair), bodyId).map(({ name, mm }) => [name, mm]);
  expect(found('wheel')).toEqual([
    ['Rim, outside', 38.2],
    ['Width', 8],
    ['Groove, width', 4],
    ['Groove, depth', 3.5],
  ]);
  expect(found('other')).toEqual([]);
  repair.sizes[0]!.importance = 'plain';
  expect(found()[0]).toEqual(['Width', 8]);
});

test('a trial asks for them after its fits, and they teach no machine until somebody says so', () => {
  const repair = wheel();
  const numbers = evaluateRepair(repair);
  const trial = newTrial(
    { state: repair, numbers, letter: 'A' },
    { id: 't', of: 'part', triedAt: '2026-11-01T00:00:00.000Z', madePartId: null, bodyId: 'wheel' },
  );
  expect(trial.results.map(({ fitName, ofSize }) => [fitName, ofSize ?? false])).toEqual([
    ['Bore on the axle', false],
    ['Rim, outside', true],
    ['Width', true],
    ['Groove, width', true],
    ['Groove, depth', true],
  ]);
  const rim = {
    ...trial.results[1]!,
    made: [{ typed: '38.26', mm: 38.26, instrumentId: 'bench-caliper' }],
  };
  expect([askedOf(rim), wantedOf(rim)]).toEqual([38.2, 38.2]);
  // An outside that is larger than it should be leaves less room.
  expect(clearanceMeasured(rim)).toBeCloseTo(-0.06, 9);
  const learned = (result: typeof rim) =>
    machineAfter(trial, {
      workshop: DEFAULT_WORKSHOP,
      trials: [{ ...trial, results: [result] }],
    }).corrections.some((one) => one.learned);
  expect(learned(rim)).toBe(false);
  const { leftOut: _leftOut, ...counted } = rim;
  expect(learned(counted)).toBe(true);
});

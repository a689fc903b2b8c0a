import { STEP_KINDS } from '@core/record/model';
import { RepairDraft } from '@core/testing/repairDraft';

import { findSteps, likelyNext } from './findSteps';

test.each([
  ['bearing', 'hole'],
  ['snap', 'tongue'],
  ['handle', 'stations'],
  ['slot for a strap', 'extrude'],
  ['Radius', 'fillet'],
  ['o-ring', 'torus'],
  ['hose red', 'loft'],
] as const)('“%s” finds %s', (typed, kind) => {
  expect(findSteps(typed)).toContain(kind);
});

test('nothing typed leaves all, each kind is found by its own verb, and nonsense finds nothing', () => {
  expect(findSteps(' ')).toEqual(STEP_KINDS);
  expect(findSteps('a')).toEqual(STEP_KINDS);
  expect(findSteps('drill')).toEqual(['hole']);
  expect(findSteps('zzgl')).toEqual([]);
});

test('a hole is mostly repeated or eased next, a block drilled; what is switched off does not count', () => {
  const draft = new RepairDraft('Plate');
  const plate = draft.step('plate', { length: 40, breadth: 20, thickness: 4, cornerRadius: 0 });
  const hole = draft.step('hole', { diameter: 5, depth: 'through' });
  expect(likelyNext([])).toEqual([]);
  expect(likelyNext([plate])[0]).toBe('hole');
  expect(likelyNext([plate, hole])[0]).toBe('pattern');
  expect(likelyNext([plate, { ...hole, off: true }])[0]).toBe('hole');
});

import type { TrailEntry } from '@core/fitting/fit';
import { allowanceReason, derivedWords, takenWords, trailLabel } from '@core/reporting/wording';

const allowance: Extract<TrailEntry, { kind: 'allowance' }> = {
  kind: 'allowance',
  value: 0.2,
  fitClass: 'turns',
  iso: null,
  by: 'fitClass',
  on: 'diameter',
};

test('an allowance by its class, by limits, typed, and where nothing is allowed', () => {
  expect(trailLabel(allowance)).toBe('Turns freely');
  expect(allowanceReason(allowance)).toBe('on the diameter, for this fit');
  const limits = { ...allowance, iso: { hole: 'H7', shaft: 'g6' }, by: 'iso' } as typeof allowance;
  expect(trailLabel(limits)).toBe('H7/g6, the middle of what it allows');
  expect(allowanceReason(limits)).toBe('on the diameter, limits of ISO 286');
  expect(allowanceReason({ ...allowance, by: 'typed', on: 'oneSide' })).toBe('on the one side, typed by you');
  expect(allowanceReason({ ...allowance, on: 'nothing' })).toBe(
    'the clearance is in the holes, not in the spacing',
  );
});

test('a correction is told with its machine, several mates by their number', () => {
  const correction = { value: 0.1, machine: 'Bench printer', feature: 'inside', learnedFrom: '' } as const;
  expect(trailLabel({ kind: 'correction', ...correction })).toBe('Bench printer, holes come out small');
  expect(trailLabel({ kind: 'mates', value: 0.1, count: 3, smallestMm: 6, largestMm: 6.2 })).toBe(
    'to the middle of 3 that it must fit',
  );
});

test('how a size came about: which reading counts and why, its formula, or its drawing', () => {
  expect(takenWords('mean', 'whatever')).toBe('');
  expect(takenWords('largest', 'worn')).toBe('largest taken: worn');
  expect(takenWords('median', '')).toBe('middle one taken');
  expect(derivedWords({ by: 'formula', text: '(A - B) / 2', unit: 'mm' })).toBe('(A - B) / 2');
  const drawn = { by: 'construction', inputs: {}, result: 'result' } as const;
  expect(derivedWords({ ...drawn, construction: 'wall' })).toBe('Wall');
  expect(derivedWords({ ...drawn, construction: 'of-a-later-program' })).toBe('not known how');
});

import { evaluateRepair } from '@core/fitting/fit';
import type { Trial } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';

import { newTrial } from './newTrial';
import { withFinished } from './finished';

const repair = rackWheel();
const begun = newTrial(
  { state: repair, numbers: evaluateRepair(repair), letter: 'A' },
  { id: 't', of: 'part', triedAt: '2026-11-01T00:00:00.000Z', madePartId: null },
);
const ream = { what: 'ream', fitId: 'bore' } as const;
const bore = (trial: Trial) => trial.results.find(({ fitId }) => fitId === 'bore')!;

test('a hole that is reamed before it is measured teaches the machine nothing, and does again when that is taken back', () => {
  const done = withFinished(begun, ream, true);
  expect(done.finished).toEqual([ream]);
  expect(bore(done)).toMatchObject({
    done: [{ what: 'reamed', mm: null }],
    leftOut: 'it was reamed before it was measured',
  });
  // Ticked twice it stands there once.
  expect(withFinished(done, ream, true).finished).toEqual([ream]);
  expect(withFinished(done, ream, false)).toEqual({ ...begun, finished: [] });
});

test('one that was measured before it was reamed is what the machine made', () => {
  const made = [{ typed: '6.02', mm: 6.02, instrumentId: 'bench-caliper' }];
  const measured = { ...begun, results: begun.results.map((result) => ({ ...result, made })) };
  const done = withFinished(measured, ream, true);
  expect(bore(done).done).toEqual([{ what: 'reamed', mm: null }]);
  expect(bore(done).leftOut).toBeUndefined();
});

test('what the person said stays: other remedies, and why one was left out', () => {
  const own = begun.results.map((result) => ({
    ...result,
    done: [{ what: 'drilled' as const, mm: 0.3 }],
    leftOut: 'you left it out',
  }));
  const done = withFinished({ ...begun, results: own }, ream, true);
  expect(done.results).toEqual(own);
  expect(withFinished(done, ream, false).results).toEqual(own);
  // Other work changes no result.
  expect(withFinished(begun, { what: 'edges' }, true).results).toEqual(begun.results);
});

import type { Body } from '@core/record/model';
import { block } from '@core/testing/pieces';

import { useBodyHistory, whileStepping } from './bodyHistory';

const body = (count: number): Body => ({
  id: 'b',
  version: 1,
  name: 'Body',
  role: 'spare',
  removed: false,
  steps: Array.from({ length: count }, () => block(1, 1, 1)),
});

test('goes back through every change, on again, and forgets what lay ahead of a new change', () => {
  const states = [body(0), body(1), body(2), body(3)];
  const history = () => useBodyHistory.getState();
  for (const before of states.slice(0, 3)) history().record(before);
  expect(history().back(states[3]!)).toBe(states[2]);
  expect(history().back(states[2]!)).toBe(states[1]);
  expect(history().on(states[1]!)).toBe(states[2]);
  expect(history().back(states[2]!)).toBe(states[1]);
  // A step through the history is no change of its own.
  whileStepping(() => history().record(states[2]!));
  expect(history().back(states[1]!)).toBe(states[0]);
  expect(history().back(states[0]!)).toBeNull();
  expect(history().on(states[0]!)).toBe(states[1]);
  history().record(states[1]!);
  expect(history().on(states[2]!)).toBeNull();
});

test('what was taken back already is passed over', () => {
  const [first, second] = [body(5), body(6)];
  const history = () => useBodyHistory.getState();
  history().record(first);
  history().record(second);
  // The last change was undone from its notice: the body is as it was before it.
  expect(history().back(second)).toBe(first);
});

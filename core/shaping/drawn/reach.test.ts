import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { inputOf } from '@core/testing/drawnOutline';

import { reachSentence } from '@core/reporting/wording';

import { freedomOf } from './freedom';
import type { Place } from './input';
import { reachOf } from './reach';
import { settle } from './settle';
import { systemOf } from './system';

const n = numberValue;
const point = (id: string, x: number, y: number) => ({ id, x: n(x), y: n(y) });
function reach(outline: DrawnOutline, id: string) {
  const system = systemOf(inputOf(outline));
  const way = freedomOf(system, settle(system).values).points.get(id);
  if (!way || way === 'anyWay') throw new Error(`${id} has ${way ?? 'no way'}`);
  // Rightwards first.
  const right: Place = way[0] < 0 ? [-way[0], -way[1]] : way;
  return reachOf(system, id, right);
}

test('a slider of a crank stops where rod and arm are in line, either way', () => {
  // An arm of 10 about O, a rod of 25, and a slider on the level line through O: from 15 to 35.
  const crank: DrawnOutline = {
    shape: 'drawn',
    points: [point('O', 0, 0), point('A', 0, 10), point('S', Math.sqrt(525), 0)],
    curves: [
      { kind: 'line', from: 'O', to: 'A', id: 'arm' },
      { kind: 'line', from: 'A', to: 'S', id: 'rod' },
    ],
    relations: [
      { id: 'r1', kind: 'fixed', point: 'O' },
      { id: 'r2', kind: 'level', points: ['O', 'S'] },
    ],
    dimensions: [
      { id: 'd1', kind: 'distance', points: ['O', 'A'], value: n(10) },
      { id: 'd2', kind: 'distance', points: ['A', 'S'], value: n(25) },
    ],
  };
  const [out, back] = reach(crank, 'S');
  if (out.kind !== 'stops' || back.kind !== 'stops') throw new Error(`${out.kind}, ${back.kind}`);
  expect(out.mm).toBeCloseTo(35 - Math.sqrt(525), 1);
  expect(back.mm).toBeCloseTo(Math.sqrt(525) - 15, 1);
});

test('a point on a circle goes all the way round; one on a line as far as one likes', () => {
  const wheel: DrawnOutline = {
    shape: 'drawn',
    points: [point('O', 0, 0), point('A', 7, 7)],
    curves: [{ kind: 'line', from: 'O', to: 'A', id: 'arm' }],
    relations: [{ id: 'r1', kind: 'fixed', point: 'O' }],
    dimensions: [{ id: 'd1', kind: 'distance', points: ['O', 'A'], value: n(10) }],
  };
  expect(reach(wheel, 'A')).toEqual([{ kind: 'round' }, { kind: 'round' }]);
  const rail: DrawnOutline = {
    ...wheel,
    relations: [...wheel.relations, { id: 'r2', kind: 'level', points: ['O', 'A'] }],
    dimensions: [],
  };
  expect(reach(rail, 'A')[0]).toEqual({ kind: 'far' });
});

test('in words', () => {
  const stops = (mm: number) => ({ kind: 'stops', mm }) as const;
  expect(reachSentence([-1, 0.1], [stops(4), { kind: 'far' }])).toBe(
    'It can move to the right as far as you like and 4.00 mm to the left.',
  );
  expect(reachSentence([0, 1], [stops(4), stops(2.5)])).toBe('It can move 4.00 mm up and 2.50 mm down.');
  expect(reachSentence([0, 1], [{ kind: 'round' }, { kind: 'round' }])).toBe(
    'It can move all the way round.',
  );
});

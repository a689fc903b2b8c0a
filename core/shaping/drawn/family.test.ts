import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

import { numberValue } from '@core/foundations/fields';
import { inputOf, placesOf, randomOutlined, withLength } from '@core/testing/drawnFamily';

import { isMet, solveDrawn, systemOf, type Place } from '.';
import { conflictOf, holds, without } from './conflicts';

const randomFrom = (seed: number) => {
  const generator = xoroshiro128plus(seed);
  return () => uniformFloat64(generator);
};
const farthest = (points: ReadonlyMap<string, Place>, truth: readonly Place[]) =>
  Math.max(
    ...truth.map(([x, y], index) => {
      const [px, py] = points.get(`P${index}`)!;
      return Math.hypot(px - x, py - y);
    }),
  );
/** Corners as a hand would put them: off by up to 0.3 of what is nearest, 6 mm at most. */
function roughly(truth: readonly [number, number][], random: () => number): [number, number][] {
  const apart = truth.flatMap(([ax, ay], index) =>
    truth.slice(index + 1).map(([bx, by]) => Math.hypot(ax - bx, ay - by)),
  );
  const reach = Math.min(12, 0.6 * Math.min(...apart));
  return truth.map(([x, y], index) =>
    index === 0 ? [x, y] : [x + reach * (random() - 0.5), y + reach * (random() - 0.5)],
  );
}

test('1,000 outlines that a hand drew roughly come out as they are said: at least 99.5 %, and the rest say so or keep another side', () => {
  const random = randomFrom(34);
  let right = 0;
  for (let count = 0; count < 1000; count += 1) {
    const outlined = randomOutlined(random);
    const truth = placesOf(outlined)!;
    const solved = solveDrawn(inputOf(outlined, roughly(truth, random)));
    if (isMet(solved) && farthest(solved.points, truth) < 1e-3) right += 1;
  }
  expect(right).toBeGreaterThanOrEqual(995);
});

test('one length changed, down to a half or up to twice: the same form in at least 99 %, and what can’t be is told', () => {
  const random = randomFrom(35);
  let [changed, same, impossible, told] = [0, 0, 0, 0];
  while (changed < 1000) {
    const outlined = randomOutlined(random);
    const which = Math.floor(random() * (outlined.said.length + 1));
    const other = withLength(outlined, which, 0.5 + 1.5 * random());
    const wanted = placesOf(other, 0);
    const solved = solveDrawn(inputOf(other, placesOf(outlined)!));
    if (wanted) {
      changed += 1;
      if (isMet(solved) && farthest(solved.points, wanted) < 1e-3) same += 1;
    } else {
      impossible += 1;
      if (!isMet(solved)) told += 1;
    }
  }
  expect(same).toBeGreaterThanOrEqual(990);
  expect(impossible).toBeGreaterThan(20);
  expect(told).toBe(impossible);
});

test('what is told to contradict can’t hold, and can without any one of it', () => {
  const random = randomFrom(37);
  let told = 0;
  while (told < 20) {
    const outlined = randomOutlined(random);
    const truth = placesOf(outlined)!;
    const input = inputOf(outlined, truth);
    const [one, other] = [0, truth.length - 1].map((index) => truth[index]!);
    const mm = Math.hypot(one![0] - other![0], one![1] - other![1]);
    // One length too many, and wrong.
    const wrong = {
      ...input,
      dimensions: [
        ...input.dimensions,
        {
          dimension: {
            id: 'wrong',
            kind: 'distance' as const,
            points: ['P0', `P${truth.length - 1}`] as [string, string],
            value: numberValue(0),
          },
          wanted: mm * 1.07 + 1,
          standardMm: 0,
          tag: null,
        },
      ],
    };
    const conflict = conflictOf(wrong);
    if (conflict.length === 0) continue;
    told += 1;
    expect(conflict).toContain('wrong');
    const all = [
      ...wrong.relations.map(({ id }) => id),
      ...wrong.dimensions.map(({ dimension }) => dimension.id),
    ];
    const only = (kept: readonly string[]) => without(wrong, new Set(all.filter((id) => !kept.includes(id))));
    expect(holds(only(conflict))).toBe(false);
    for (const id of conflict) expect(holds(only(conflict.filter((kept) => kept !== id)))).toBe(true);
  }
});

test('slopes of all equations are those of small differences', () => {
  const random = randomFrom(36);
  for (let count = 0; count < 60; count += 1) {
    const outlined = randomOutlined(random);
    const system = systemOf(inputOf(outlined, roughly(placesOf(outlined)!, random)), false);
    const values = Float64Array.from(system.unknowns.start);
    for (const { predict } of system.equations) {
      const { at, slopes } = predict(values);
      const summed = new Map<number, number>();
      for (const [index, unknown] of at.entries())
        summed.set(unknown, (summed.get(unknown) ?? 0) + slopes[index]!);
      for (const [unknown, slope] of summed) {
        const step = 1e-5;
        const moved = (by: number) => {
          const there = Float64Array.from(values);
          there[unknown]! += by;
          return predict(there).value;
        };
        const difference = (moved(step) - moved(-step)) / (2 * step);
        expect(Math.abs(difference - slope)).toBeLessThan(1e-4 * Math.max(1, Math.abs(slope)));
      }
    }
  }
});

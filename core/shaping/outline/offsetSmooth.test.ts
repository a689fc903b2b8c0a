import { areaOf, polygonOf, type Point } from '@core/shaping/outline';

import { offsetSmooth } from './offsetSmooth';
import { alongSmooth, smoothLine } from './smoothLine';

const around = (count: number, radius: (turn: number) => number): Point[] =>
  Array.from({ length: count }, (_, index) => {
    const turn = (2 * Math.PI * index) / count;
    return [radius(turn) * Math.cos(turn), radius(turn) * Math.sin(turn)];
  });
const areaThrough = (points: readonly Point[]) =>
  areaOf(polygonOf([{ kind: 'spline', points, closed: true, role: 'wall' }]));
const dense = (points: readonly Point[]) => alongSmooth(smoothLine(points, true), 200) as unknown as Point[];
const length = (points: readonly Point[]) =>
  points.reduce((sum, [x, y], index) => {
    const [a, b] = points[(index + 1) % points.length]!;
    return sum + Math.hypot(a - x, b - y);
  }, 0);

test('a circle of points becomes the circle that is larger or smaller', () => {
  const circle = around(64, () => 20);
  for (const mm of [3, -3, -12]) {
    for (const [x, y] of offsetSmooth(circle, mm)!) expect(Math.hypot(x, y)).toBeCloseTo(20 + mm, 4);
  }
});

test('the area between is that of Steiner: length times way, and π times its square', () => {
  const wavy = around(10, (turn) => 30 + 4 * Math.cos(3 * turn));
  const [whole, rim] = [areaOf(dense(wavy)), length(dense(wavy))];
  for (const mm of [1.5, -1.5, -4]) {
    const moved = offsetSmooth(wavy, mm)!;
    expect(Math.abs(areaOf(dense(moved)) / (whole + rim * mm + Math.PI * mm ** 2) - 1)).toBeLessThan(1e-5);
    // Few points: what is made of it is quick.
    expect(moved.length).toBeLessThanOrEqual(160);
  }
  expect(areaThrough(offsetSmooth(wavy, 2)!)).toBeGreaterThan(whole);
});

test('as symmetric as it was', () => {
  const oval = around(12, (turn) => 20 / Math.sqrt(1 + 0.5 * Math.sin(turn) ** 2));
  const moved = offsetSmooth(oval, -2)!;
  for (const [x, y] of moved) {
    const mirror = moved.some(([a, b]) => Math.hypot(a - x, b + y) < 1e-9);
    expect([x, y, mirror]).toEqual([x, y, true]);
  }
});

test('where a bend is tighter than the way, or the line would meet itself, there is none', () => {
  const sharp = around(24, (turn) => 20 + 6 * Math.cos(6 * turn));
  expect(offsetSmooth(sharp, -8)).toBeNull();
  // A waist 4 wide: moved in by 3 both sides would cross, though no bend is tight.
  const waist = around(48, (turn) => 2 + 28 * Math.cos(turn) ** 2);
  expect(offsetSmooth(waist, -3)).toBeNull();
});

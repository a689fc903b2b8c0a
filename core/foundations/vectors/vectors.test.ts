import { middleOfBox } from '@core/shaping/part';
import { along, cross, dot, minus, rotated, unit, type Vec3, eachAxis } from '@core/foundations/vectors';

const a: Vec3 = [1, 2, 3];
const b: Vec3 = [-2, 0.5, 4];

test('products by hand, and what is perpendicular to both', () => {
  expect(dot(a, b)).toBe(11);
  expect(cross(a, b)).toEqual([6.5, -10, 4.5]);
  expect(dot(cross(a, b), a)).toBeCloseTo(0, 12);
  expect(dot(cross(a, b), b)).toBeCloseTo(0, 12);
  expect(along(minus(a, b), b, 1)).toEqual(a);
});

test('a unit vector keeps its direction; nothing stays nothing', () => {
  expect(unit([3, 0, 4])).toEqual([0.6, 0, 0.8]);
  expect(unit([0, 0, 0])).toEqual([0, 0, 0]);
});

test('a rotation keeps lengths and the axis, and a quarter turn about up takes right to back', () => {
  const quarter = rotated([1, 0, 0], [0, 0, 1], 0, 1);
  expect(quarter.map((part) => part + 0)).toEqual([0, 1, 0]);
  const axis = unit([1, 1, 1]);
  const turned = rotated(a, axis, Math.cos(0.7), Math.sin(0.7));
  expect(Math.hypot(...turned)).toBeCloseTo(Math.hypot(...a), 12);
  expect(dot(turned, axis)).toBeCloseTo(dot(a, axis), 12);
});

test('a vector from its axes, and the middle of a box', () => {
  expect(eachAxis((axis) => 2 * axis - 1)).toEqual([-1, 1, 3]);
  expect(middleOfBox([-2, 0, 1, 4, 10, 2])).toEqual([1, 5, 1.5]);
});

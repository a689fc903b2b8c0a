import fc from 'fast-check';

import { areaMm2, areaOfCorners, type Area } from '@core/making/slice';

import { Rasteriser } from './raster';

const PIXEL: [number, number] = [0.05, 0.04];
const raster = new Rasteriser(200, 150, PIXEL);
/** The origin in the middle of the picture. */
const MIDDLE: [number, number] = [5, 3];
const covered = (areas: Area[]) => {
  const { data } = raster.draw(areas, MIDDLE);
  return (data.reduce((sum, value) => sum + value, 0) / 255) * PIXEL[0] * PIXEL[1];
};
const rectangle = (left: number, front: number, right: number, back: number): [number, number][] => [
  [left, front],
  [right, front],
  [right, back],
  [left, back],
];

test('a rectangle lights its pixels by what it covers of each', () => {
  // From the middle of column 100 to a quarter of column 103; rows 74 (0.01 of 0.04 mm) and 75.
  const { data, width } = raster.draw([areaOfCorners(rectangle(0.025, -0.04, 0.1625, 0.01))], MIDDLE);
  const row = (y: number) => Array.from(data.subarray(y * width + 99, y * width + 105));
  expect(row(75)).toEqual([0, 128, 255, 255, 64, 0]);
  expect(row(74)).toEqual([0, 32, 64, 64, 16, 0]);
  expect(row(73)).toEqual([0, 0, 0, 0, 0, 0]);
  expect(row(76)).toEqual([0, 0, 0, 0, 0, 0]);
});

test('the back is on top, the left is left', () => {
  const { data, width } = raster.draw([areaOfCorners(rectangle(-5, 2.8, -4.8, 3))], MIDDLE);
  expect(data[0]).toBe(255);
  expect(data[4 * width + 3]).toBe(255);
  expect(data[5 * width]).toBe(0);
  expect(data[4]).toBe(0);
});

test('holes are dark, areas that overlap are no brighter, and what lies beyond the picture is left out', () => {
  const hole = areaOfCorners([...rectangle(-1, -1, 1, 1)].reverse());
  const plate = areaOfCorners(rectangle(-3, -2, 3, 2));
  expect(covered([plate, hole])).toBeCloseTo(24 - 4, 3);
  expect(covered([plate, areaOfCorners(rectangle(2, 0, 4, 1))])).toBeCloseTo(24 + 1, 3);
  expect(covered([areaOfCorners(rectangle(-50, -50, 50, 50))])).toBeCloseTo(60, 6);
  expect(covered([areaOfCorners(rectangle(4, -50, 50, 2))])).toBeCloseTo(5, 3);
  expect(covered([])).toBe(0);
});

test('whatever the outline, its pixels add up to its area', () => {
  const corner = fc.tuple(
    fc.double({ min: 0.3, max: 2.8, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
  );
  fc.assert(
    fc.property(fc.array(corner, { minLength: 5, maxLength: 14 }), (corners) => {
      // Each corner in a sector of its own, so that the outline goes once round the middle and does not cross itself.
      const ring = corners.map(([radius, share], at): [number, number] => {
        const turn = (2 * Math.PI * (at + share)) / corners.length;
        return [radius * Math.cos(turn), radius * Math.sin(turn)];
      });
      const area = areaOfCorners(ring);
      // Half a step of grey in each pixel of the edge at most.
      expect(Math.abs(covered([area]) - Math.abs(areaMm2(area)))).toBeLessThan(3e-3);
    }),
    { numRuns: 300 },
  );
});

import { areaMm2, areaWithin, holds, type Area } from './region';
import { hatched } from './hatch';
import { gyroid, GYROID_LENGTH } from './gyroid';
import { lengthOf, volumeOf, type LayerPath } from './paths';
import { middleLines } from './middleLines';
import { wallsOf } from './walls';

/** An area with straight sides, from its corners in mm. */
function area(...loops: [number, number][][]): Area {
  const points = new Float64Array(loops.flat(2));
  const begins = [0];
  for (const loop of loops) begins.push(begins.at(-1)! + loop.length);
  return areaWithin({ points, begins: new Uint32Array(begins) });
}
const box = (x: number, y: number): [number, number][] => [
  [0, 0],
  [x, 0],
  [x, y],
  [0, y],
];
const laid = (paths: readonly LayerPath[]) => paths.reduce((sum, path) => sum + volumeOf(path, 1), 0);
const LINE = 0.4;

test('corners close together are not all left out: of a circle in pairs of points the circle stays', () => {
  const pairs = Array.from({ length: 180 }, (_, at) => at * (Math.PI / 90)).flatMap(
    (turn): [number, number][] => [
      [19 * Math.cos(turn), 19 * Math.sin(turn)],
      [19 * Math.cos(turn + 1e-5), 19 * Math.sin(turn + 1e-5)],
    ],
  );
  expect(areaMm2(area(pairs)) / (Math.PI * 19 ** 2)).toBeCloseTo(1, 3);
});

describe('walls', () => {
  test('run half a line and one and a half from the edge, and leave what is inside', () => {
    const { paths, inside, tooThin } = wallsOf(area(box(20, 10)), 2, LINE);
    expect(paths.map(({ kind }) => kind)).toEqual(['outerWall', 'innerWall']);
    expect(paths.map(lengthOf)).toEqual([
      expect.closeTo(2 * (19.6 + 9.6), 4),
      expect.closeTo(2 * (18.8 + 8.8), 4),
    ]);
    expect(areaMm2(inside)).toBeCloseTo(18.4 * 8.4, 4);
    expect(tooThin).toEqual([]);
  });

  test.each([0.3, 0.5, 0.72, 0.9, 1.05, 1.2, 1.33, 1.6, 2, 2.5])(
    'a strip %s mm broad is filled to what it is, by lines as broad as there is room',
    (breadth) => {
      const strip = area(box(30, breadth));
      const { paths, inside, tooThin } = wallsOf(strip, 3, LINE);
      expect(tooThin).toEqual([]);
      const missing = 1 - (laid(paths) + areaMm2(inside)) / (30 * breadth);
      // A gap below a quarter of a line closes of itself.
      const closes = (breadth % (2 * LINE)) - 0.25 * LINE < 0 ? (breadth % (2 * LINE)) / breadth : 0;
      expect(Math.abs(missing)).toBeLessThan(0.02 + closes);
    },
  );

  test('what is narrower than half a line is told, with its place and breadth', () => {
    const { paths, tooThin } = wallsOf(area(box(30, 0.15)), 3, LINE);
    expect(paths).toEqual([]);
    expect(tooThin).toEqual([
      { at: [expect.any(Number), expect.closeTo(0.075, 3)], widthMm: expect.closeTo(0.15, 3) },
    ]);
  });

  test('every line stays within the edge', () => {
    const star = area(
      Array.from({ length: 14 }, (_, corner): [number, number] => {
        const [radius, turn] = [corner % 2 === 0 ? 15 : 6, (corner * Math.PI) / 7];
        return [radius * Math.cos(turn), radius * Math.sin(turn)];
      }),
    );
    const { paths, inside } = wallsOf(star, 3, LINE);
    const all = [...paths, ...hatched(inside, { kind: 'skin', angle: 0.8, spacingMm: LINE, lineMm: LINE })];
    expect(all.length).toBeGreaterThan(10);
    for (const { points } of all) {
      for (let at = 0; at < points.length; at += 2)
        expect(holds(star, points[at]!, points[at + 1]!)).toBe(true);
    }
  });
});

describe('lines along the middle', () => {
  const limits = { narrowestMm: 0.1, widestMm: 2 };

  test('of a wedge are as broad as it is', () => {
    const wedge = area([
      [0, -0.2],
      [20, -0.6],
      [20, 0.6],
      [0, 0.2],
    ]);
    const { lines } = middleLines(wedge, limits);
    expect(lines).toHaveLength(1);
    const { points, width } = lines[0]!;
    width.forEach((broad, index) => {
      const x = points[2 * index]!;
      if (x < 1 || x > 19) return;
      expect(points[2 * index + 1]).toBeCloseTo(0, 2);
      expect(broad).toBeCloseTo((0.4 + (0.8 * x) / 20) * Math.cos(Math.atan(0.02)), 2);
    });
  });

  test('of a ring go round it once', () => {
    const circle = (radius: number, way: 1 | -1) =>
      Array.from({ length: 80 }, (_, at): [number, number] => [
        radius * Math.cos((way * at * Math.PI) / 40),
        radius * Math.sin((way * at * Math.PI) / 40),
      ]);
    const { lines } = middleLines(area(circle(5.2, 1), circle(4.8, -1)), limits);
    const length = lines.reduce((sum, line) => sum + lengthOf({ points: line.points, closed: false }), 0);
    expect(length / (2 * Math.PI * 5)).toBeCloseTo(1, 2);
  });
});

describe('fillings', () => {
  const room = area(box(30, 20), [
    [10, 5],
    [10, 15],
    [20, 15],
    [20, 5],
  ]);

  test.each([0, 0.3, Math.PI / 4, 1.2, Math.PI / 2])('solid lines at %s take just the area', (angle) => {
    const paths = hatched(room, { kind: 'skin', angle, spacingMm: LINE, lineMm: LINE });
    expect(laid(paths) / 500).toBeCloseTo(1, 2);
  });

  test('no place is farther from a line than half a breadth and a hair', () => {
    const paths = hatched(room, { kind: 'skin', angle: 0.5, spacingMm: LINE, lineMm: LINE });
    const nearest = (x: number, y: number) =>
      Math.min(
        ...paths.flatMap(({ points }) =>
          Array.from({ length: points.length / 2 - 1 }, (_, at) => {
            const [ax, ay, bx, by] = points.slice(2 * at, 2 * at + 4) as unknown as [
              number,
              number,
              number,
              number,
            ];
            const square = (bx - ax) ** 2 + (by - ay) ** 2;
            const share = Math.max(0, Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square));
            return Math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay));
          }),
        ),
      );
    for (let x = 0.5; x < 30; x += 1.37) {
      for (let y = 0.5; y < 20; y += 1.13) {
        if (holds(room, x, y) && x > 0.6 && x < 29.4) expect(nearest(x, y)).toBeLessThan(LINE);
      }
    }
  });

  test.each([0.1, 0.2, 0.35])('a gyroid takes a share of %s, over a period of heights', (share) => {
    const broad = area(box(70, 70));
    const period = (GYROID_LENGTH * LINE) / share;
    const heights = Array.from({ length: 24 }, (_, at) => (at * period) / 24);
    const taken = heights.reduce((sum, z) => sum + laid(gyroid(broad, share, LINE, z)), 0) / 24;
    expect(taken / 70 ** 2 / share).toBeCloseTo(1, 2);
  });
});

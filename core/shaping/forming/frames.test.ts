import fc from 'fast-check';
import { cross, dot, unit } from '@core/foundations/vectors';
import {
  boxIn,
  frameFacing,
  tilted,
  toLocal,
  toWorld,
  wayToWorld,
  WORLD,
  type Frame,
} from '@core/shaping/part';

import { bentPath, type PathPiece } from './swept';

type Vec3 = readonly [number, number, number];

const part = fc.double({ min: -50, max: 50, noNaN: true });

const vec = fc.tuple(part, part, part);

const way = vec.filter((v) => Math.hypot(...v) > 1);

const frame: fc.Arbitrary<Frame> = fc
  .tuple(vec, way, fc.double({ min: -1.5, max: 1.5, noNaN: true }))
  .map(([at, normal, tilt]) => tilted(frameFacing(at, normal), at, tilt));

const near = (a: Vec3, b: Vec3) => a.every((value, axis) => Math.abs(value - b[axis]!) < 1e-6);

describe('frames', () => {
  test('their ways are unit vectors, square to each other and right-handed', () => {
    fc.assert(
      fc.property(frame, ({ x, y, z }) => {
        for (const one of [x, y, z]) expect(Math.hypot(...one)).toBeCloseTo(1, 9);
        expect(Math.abs(dot(x, y)) + Math.abs(dot(y, z)) + Math.abs(dot(z, x))).toBeLessThan(1e-9);
        expect(near(cross(x, y), z)).toBe(true);
      }),
    );
  });

  test('a point goes there and back, and a way keeps its length', () => {
    fc.assert(
      fc.property(frame, vec, (of, point) => {
        expect(near(toLocal(of, toWorld(of, point)), point)).toBe(true);
        expect(Math.hypot(...wayToWorld(of, point))).toBeCloseTo(Math.hypot(...point), 6);
      }),
    );
  });

  test('one that faces a way is level to the right, and up or to the back', () => {
    fc.assert(
      fc.property(way, (normal) => {
        const { x, y, z } = frameFacing([0, 0, 0], normal);
        expect(near(z, unit(normal))).toBe(true);
        if (Math.abs(z[2]) < 0.9999) expect(Math.abs(x[2])).toBeLessThan(1e-9);
        if (Math.abs(z[2]) < 0.99) expect(y[2]).toBeGreaterThan(0);
      }),
    );
    // Seen from the front, right is right; from behind, right is left.
    expect(near(frameFacing([0, 0, 0], [0, -1, 0]).x, [1, 0, 0])).toBe(true);
    expect(near(frameFacing([0, 0, 0], [0, 1, 0]).x, [-1, 0, 0])).toBe(true);
    const above = frameFacing([0, 0, 0], [0, 0, 1]);
    expect(near(above.x, WORLD.x) && near(above.y, WORLD.y) && near(above.z, WORLD.z)).toBe(true);
    // Nearly above, all three are still square to each other.
    const { x, z } = frameFacing([0, 0, 0], [0.005, 0.003, 1]);
    expect(Math.abs(dot(x, z))).toBeLessThan(1e-12);
  });

  test('a box in other axes holds every corner', () => {
    fc.assert(
      fc.property(frame, vec, vec, (of, a, b) => {
        const low = a.map((value, axis) => Math.min(value, b[axis]!));
        const high = a.map((value, axis) => Math.max(value, b[axis]!));
        const box = boxIn(of, [...low, ...high] as [number, number, number, number, number, number]);
        for (const corner of [a, b]) {
          const seen = toLocal(of, corner);
          seen.forEach((value, axis) => {
            expect(value).toBeGreaterThan(box[axis]! - 1e-6);
            expect(value).toBeLessThan(box[axis + 3]! + 1e-6);
          });
        }
      }),
    );
  });
});

describe('paths with rounded bends', () => {
  const lengthOf = (path: readonly PathPiece[]) =>
    path.reduce((sum, piece) => {
      if (piece.kind === 'line')
        return sum + Math.hypot(...piece.to.map((value, axis) => value - piece.from[axis]!));
      if (piece.kind === 'smooth') throw new Error('not straight');
      // An arc by its chord and its rise: r = c² / 8 h + h / 2, angle = 2 asin(c / 2 r).
      const chord = Math.hypot(...piece.to.map((value, axis) => value - piece.from[axis]!));
      const rise = Math.hypot(
        ...piece.via.map((value, axis) => value - (piece.from[axis]! + piece.to[axis]!) / 2),
      );
      const radius = chord ** 2 / (8 * rise) + rise / 2;
      return sum + 2 * radius * Math.asin(Math.min(1, chord / (2 * radius)));
    }, 0);

  test('a right angle loses two tangents and gains a quarter circle', () => {
    const path = bentPath(
      [
        [0, 0, 0],
        [20, 0, 0],
        [20, 30, 0],
      ],
      5,
      false,
    )!;
    expect(path.map(({ kind }) => kind)).toEqual(['line', 'arc', 'line']);
    expect(lengthOf(path)).toBeCloseTo(50 - 10 + (5 * Math.PI) / 2, 9);
  });

  test('a bend is tangent to both legs, whatever their angle', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 2.8, noNaN: true }), (turn) => {
        const end: Vec3 = [30 - 60 * Math.cos(turn), 60 * Math.sin(turn), 0];
        const path = bentPath([[-30, 0, 0], [30, 0, 0], end], 2, false);
        if (!path) return;
        // A leg turned by the outer angle: two tangents less, an arc of that angle more.
        const outer = Math.PI - turn;
        const expected = 60 + 60 - 2 * 2 * Math.tan(outer / 2) + 2 * outer;
        expect(lengthOf(path)).toBeCloseTo(expected, 6);
      }),
    );
  });

  test('pieces follow each other, and a closed path comes back', () => {
    const square: Vec3[] = [
      [0, 0, 0],
      [20, 0, 0],
      [20, 20, 0],
      [0, 20, 0],
    ];
    const path = bentPath(square, 4, true)!;
    const ends = path.map((piece) => (piece.kind === 'smooth' ? [] : [piece.from, piece.to]));
    ends.forEach(([, to], index) => expect(near(to!, ends[(index + 1) % ends.length]![0]!)).toBe(true));
    expect(lengthOf(path)).toBeCloseTo(4 * 12 + 2 * Math.PI * 4, 9);
  });

  test('legs that are too short for their bends, or none at all, are none', () => {
    expect(
      bentPath(
        [
          [0, 0, 0],
          [3, 0, 0],
          [3, 3, 0],
        ],
        5,
        false,
      ),
    ).toBeNull();
    expect(
      bentPath(
        [
          [0, 0, 0],
          [0, 0, 0],
        ],
        0,
        false,
      ),
    ).toBeNull();
    expect(
      bentPath(
        [
          [0, 0, 0],
          [5, 0, 0],
          [10, 0, 0],
        ],
        5,
        false,
      ),
    ).toHaveLength(2);
  });
});

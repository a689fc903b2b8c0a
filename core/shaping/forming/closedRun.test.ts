import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { polesOfClosed, smoothLine } from '@core/shaping/outline';
import { testKernel } from '@core/testing/kernel';
import { buildPiece, outlineOf, plain, stepOf } from '@core/testing/pieces';

import { isFlat, turnOnComingBack } from './closedRun';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

type Place = [number, number, number];

/** Out of its plane, and like none of its mirror images. */
const LOOP: Place[] = [
  [30, 0, 0],
  [5, 22, 9],
  [-30, 4, 2],
  [0, -20, -5],
];

const circle = outlineOf('circle', { diameter: 4 });

const square = outlineOf('rectangle', { length: 4, breadth: 3, cornerRadius: 0 });

function closedRun(outline: unknown, along: 'smooth' | 'straight', rows: readonly Place[], bend = 6) {
  const path = rows.map(([x, y, up]) => plain({ x, y, up }));
  const step = stepOf('sweep', { on: 'bottom', x: 0, y: 0, effect: 'add', outline, bend });
  return buildPiece(kernel, [{ ...step, along, closed: true, path } as Step]);
}

/** Length of the smooth closed line through points, by its cubics, mm (Simpson). */
function smoothLength(points: readonly Place[]): number {
  const { knots, points: at, slopes } = smoothLine(points, true);
  const speed = (piece: number, share: number) => {
    const h = knots[piece + 1]! - knots[piece]!;
    const next = (piece + 1) % points.length;
    return Math.hypot(
      ...[0, 1, 2].map(
        (axis) =>
          ((6 * share * share - 6 * share) * (at[piece]![axis]! - at[next]![axis]!)) / h +
          (3 * share * share - 4 * share + 1) * slopes[piece]![axis]! +
          (3 * share * share - 2 * share) * slopes[next]![axis]!,
      ),
    );
  };
  const parts = 400;
  let length = 0;
  for (let piece = 0; piece < points.length; piece += 1) {
    const h = (knots[piece + 1]! - knots[piece]!) / parts;
    for (let part = 0; part < parts; part += 1) {
      length +=
        (h / 6) *
        (speed(piece, part / parts) +
          4 * speed(piece, (part + 0.5) / parts) +
          speed(piece, (part + 1) / parts));
    }
  }
  return length;
}

describe('a run that comes back to its beginning out of its plane', () => {
  test('smooth, of a circle: its area along the line (Pappus)', () => {
    expect(polesOfClosed(smoothLine(LOOP, true))).toHaveLength(LOOP.length);
    const built = closedRun(circle, 'smooth', LOOP);
    expect(built.faults).toEqual([]);
    expect(built.check).toMatchObject({ pieces: 1, valid: true, closed: true });
    expect(Math.abs(built.volume / (4 * Math.PI * smoothLength(LOOP)) - 1)).toBeLessThan(1e-4);
    // No face is left of where its halves meet.
    expect(new Set(built.roles)).toEqual(new Set(['wall']));
  });

  test('from corner to corner with bends, of a circle', () => {
    const built = closedRun(circle, 'straight', LOOP);
    expect(built.faults).toEqual([]);
    const side = (index: number) => {
      const [a, b] = [LOOP[index % 4]!, LOOP[(index + 1) % 4]!];
      return b.map((mm, axis) => mm - a[axis]!) as Place;
    };
    let length = 0;
    for (let index = 0; index < 4; index += 1) {
      const [u, v] = [side(index), side(index + 1)];
      const [a, b] = [Math.hypot(...u), Math.hypot(...v)];
      const turn = Math.acos(u.reduce((sum, mm, axis) => sum + mm * v[axis]!, 0) / (a * b));
      length += a - 2 * 6 * Math.tan(turn / 2) + 6 * turn;
    }
    expect(Math.abs(built.volume / (4 * Math.PI * length) - 1)).toBeLessThan(1e-6);
    expect(new Set(built.roles)).toEqual(new Set(['wall']));
  });

  test('any other outline says by how much it would come back turned', () => {
    const built = closedRun(square, 'straight', LOOP);
    expect(built.faults).toMatchObject([{ code: 'sweep.comesBackTurned' }]);
    // One that its path brings back as it was is made.
    const even: Place[] = LOOP.map(([x, y], index) => [x, y, index % 2 === 0 ? 0 : 6]);
    expect(
      closedRun(square, 'straight', [
        [30, 0, 0],
        [0, 20, 6],
        [-30, 0, 0],
        [0, -20, 6],
      ]).faults,
    ).toEqual([]);
    expect(isFlat(even)).toBe(false);
  });

  test('the turn is the solid angle that its ways go round on a ball (Gauss and Bonnet)', () => {
    // Three ways square to each other enclose an eighth of a ball: a quarter turn.
    const corner: Place[] = [
      [0, 0, 0],
      [1, 0, 0],
      [1, 1, 0],
      [1, 1, 1],
      [0, 1, 1],
      [0, 0, 1],
    ];
    // x, y, z, −x, −y, −z: each way to the next by a right angle, round six of the twelve edges of an octahedron: half a ball.
    expect(Math.cos(turnOnComingBack(corner))).toBeCloseTo(1, 9);
    // x, y, −x + z, −y, −z: with the corner left out.
    const cut = corner.filter((_, index) => index !== 3);
    const ways = cut.map((at, index) => cut[(index + 1) % cut.length]!.map((mm, axis) => mm - at[axis]!));
    expect(Math.abs(turnOnComingBack(cut))).toBeCloseTo(Math.abs(solidAngle(ways)), 9);
    expect(turnOnComingBack(LOOP.map(([x, y]): Place => [x, y, 0]))).toBe(0);
  });
});

/** Of the fan of triangles on the unit ball (Van Oosterom and Strackee, 1983), within half a turn either way. */
function solidAngle(ways: readonly number[][]): number {
  const units = ways.map((way) => way.map((mm) => mm / Math.hypot(...way)));
  const at = (a: number[], b: number[]) => a.reduce((sum, mm, axis) => sum + mm * b[axis]!, 0);
  const cross = ([a, b, c]: number[], [d, e, f]: number[]) => [
    b! * f! - c! * e!,
    c! * d! - a! * f!,
    a! * e! - b! * d!,
  ];
  let whole = 0;
  for (let index = 1; index + 1 < units.length; index += 1) {
    const [a, b, c] = [units[0]!, units[index]!, units[index + 1]!];
    whole += 2 * Math.atan2(at(a, cross(b, c)), 1 + at(a, b) + at(b, c) + at(c, a));
  }
  return Math.atan2(Math.sin(whole), Math.cos(whole));
}

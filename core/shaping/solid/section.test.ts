import fc from 'fast-check';
import { evaluateRepair } from '@core/fitting/fit';
import { meshOf } from '@core/shaping/kernel';
import {
  CUT_TAG,
  meshVolume,
  openEdgeCount,
  SCREEN_QUALITY,
  squareCut,
  weld,
  type CutPlane,
  type OpenedSolid,
} from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { rackWheel } from '@core/testing/repairDraft';

import { BodyBuilder, type Built } from './bodyBuilder';
import { cutOpen } from './section';

let builder: BodyBuilder;
let wheel: Built;
beforeAll(async () => {
  builder = new BodyBuilder(await testKernel());
  const repair = rackWheel();
  wheel = builder.build(repair.bodies[0]!, evaluateRepair(repair));
});
afterAll(() => builder.dispose());

const cut = (plane: CutPlane, step = 1): OpenedSolid => {
  const opened = cutOpen(wheel.solid!, wheel.box!, plane, SCREEN_QUALITY, step);
  if (!opened) throw new Error('nothing left');
  return opened;
};

/** Total length of segments given as x y z x y z. */
function lengthOf(segments: Float32Array): number {
  let total = 0;
  for (let at = 0; at < segments.length; at += 6) {
    total += Math.hypot(...[0, 1, 2].map((k) => segments[at + k]! - segments[at + 3 + k]!));
  }
  return total;
}

describe('a wheel cut open', () => {
  test('through its axis shows two halves, with the area worked by hand', () => {
    const half = 8 * (19.1 - 3.16) - 4 * 3.5 - 2 * (0.4 ** 2 / 2) - 2 * (0.6 ** 2 / 2);
    for (const axis of ['x', 'y'] as const) {
      expect(cut(squareCut(axis, 0, 1)).cutAreaMm2).toBeCloseTo(2 * half, 3);
    }
  });

  test('square to its axis shows a ring', () => {
    const ring = Math.PI * (15.6 ** 2 - 3.16 ** 2);
    // The mesh’s circles are polygons: a little less for the outside, a little more for the bore.
    expect(cut(squareCut('z', 4, 1)).cutAreaMm2 / ring).toBeCloseTo(1, 2);
  });

  test('is hatched in step: length times distance is the area', () => {
    const { hatching, cutAreaMm2 } = cut(squareCut('y', 0, -1), 0.05);
    expect((lengthOf(hatching) * 0.05) / cutAreaMm2).toBeCloseTo(1, 2);
  });

  test('has hatching in the plane of the cut only, at 45°', () => {
    const { hatching } = cut(squareCut('y', 2, -1));
    expect(hatching.length).toBeGreaterThan(60);
    for (let at = 0; at < hatching.length; at += 6) {
      const [x1, y1, z1, x2, y2, z2] = hatching.subarray(at, at + 6) as unknown as number[];
      expect(y1).toBeCloseTo(2, 5);
      expect(y2).toBeCloseTo(2, 5);
      expect(Math.abs(Math.abs(x2! - x1!) - Math.abs(z2! - z1!))).toBeLessThan(1e-4);
    }
  });

  test('keeps the names of faces, and calls the new ones cut', () => {
    const tags = new Set(cut(squareCut('x', 0, 1)).mesh.faces.map((face) => face.tag));
    expect([...tags].sort()).toEqual(
      [
        CUT_TAG,
        'bore:wall',
        'disc:bottom',
        'disc:rim',
        'disc:top',
        'groove:floor',
        'groove:lower',
        'groove:upper',
        'mouths:flat',
        'rims:flat',
      ].sort(),
    );
  });

  test('both parts are closed and together are the whole, wherever it is cut', () => {
    const whole = meshVolume(weld(meshOf(wheel.solid!, SCREEN_QUALITY)));
    const place = fc.record({
      axis: fc.constantFrom('x' as const, 'y' as const, 'z' as const),
      share: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
    });
    fc.assert(
      fc.property(place, ({ axis, share }) => {
        const k = ['x', 'y', 'z'].indexOf(axis);
        const at = wheel.box![k]! + share * (wheel.box![k + 3]! - wheel.box![k]!);
        const parts = ([1, -1] as const).map((remove) => weld(cut(squareCut(axis, at, remove)).mesh));
        for (const part of parts) expect(openEdgeCount(part)).toBe(0);
        const sum = parts.reduce((total, part) => total + meshVolume(part), 0);
        expect(Math.abs(sum / whole - 1)).toBeLessThan(2e-3);
      }),
      { numRuns: 8 },
    );
  });

  test('by a plane that leans through its middle: the ellipses of its walls', () => {
    // A tube cut at 45° to its axis: every round becomes an ellipse √2 as long, so areas grow by √2.
    const tilt = Math.PI / 4;
    const [tube] = [wheel].map(() => {
      const repair = rackWheel();
      repair.bodies[0]!.steps = repair.bodies[0]!.steps.filter(
        ({ kind }) => kind === 'disc' || kind === 'hole',
      );
      const long = repair.bodies[0]!.steps[0] as { width: unknown };
      long.width = { from: 'number', mm: 80 };
      return repair;
    });
    const other = new BodyBuilder(builder['kernel']);
    const built = other.build(tube!.bodies[0]!, evaluateRepair(tube!));
    const towards = [0, -Math.sin(tilt), Math.cos(tilt)] as const;
    const opened = cutOpen(
      built.solid!,
      built.box!,
      { towards, at: 40 * Math.cos(tilt) },
      SCREEN_QUALITY,
      1,
    )!;
    other.dispose();
    const ring = Math.PI * (19.1 ** 2 - 3.16 ** 2);
    expect(opened.cutAreaMm2 / (ring * Math.SQRT2)).toBeCloseTo(1, 2);
    expect(openEdgeCount(weld(opened.mesh))).toBe(0);
    // What is left is half of it, and its hatching lies in the plane.
    expect(meshVolume(weld(opened.mesh)) / (ring * 40)).toBeCloseTo(1, 2);
    for (let at = 0; at < opened.hatching.length; at += 3) {
      const [x, y, z] = opened.hatching.subarray(at, at + 3) as unknown as [number, number, number];
      expect(x * towards[0] + y * towards[1] + z * towards[2]).toBeCloseTo(40 * Math.cos(tilt), 3);
    }
  });

  test('leaves the solid itself alone', () => {
    const before = wheel.check!.volumeMm3;
    cut(squareCut('x', 3, 1));
    const repair = rackWheel();
    expect(builder.build(repair.bodies[0]!, evaluateRepair(repair))).toMatchObject({
      rebuiltSteps: 0,
      check: { volumeMm3: before },
    });
  });
});

import fc from 'fast-check';

import { evaluateRepair } from '@core/fit';
import {
  BodyBuilder,
  CUT_TAG,
  cutOpen,
  meshOf,
  meshVolume,
  openEdgeCount,
  SCREEN_QUALITY,
  weld,
  type Built,
  type CutPlane,
  type OpenedSolid,
} from '@core/solid';
import { testKernel } from '@core/testing/kernel';
import { rackWheel } from '@core/testing/repairDraft';

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
    const half = 8 * (19.1 - 3.125) - 4 * 3.5 - 2 * (0.4 ** 2 / 2) - 2 * (0.6 ** 2 / 2);
    for (const axis of ['x', 'y'] as const) {
      expect(cut({ axis, at: 0, remove: 1 }).cutAreaMm2).toBeCloseTo(2 * half, 3);
    }
  });

  test('square to its axis shows a ring', () => {
    const ring = Math.PI * (15.6 ** 2 - 3.125 ** 2);
    // The mesh’s circles are polygons: a little less for the outside, a little more for the bore.
    expect(cut({ axis: 'z', at: 4, remove: 1 }).cutAreaMm2 / ring).toBeCloseTo(1, 2);
  });

  test('is hatched in step: length times distance is the area', () => {
    const { hatching, cutAreaMm2 } = cut({ axis: 'y', at: 0, remove: -1 }, 0.05);
    expect((lengthOf(hatching) * 0.05) / cutAreaMm2).toBeCloseTo(1, 2);
  });

  test('has hatching in the plane of the cut only, at 45°', () => {
    const { hatching } = cut({ axis: 'y', at: 2, remove: -1 });
    expect(hatching.length).toBeGreaterThan(60);
    for (let at = 0; at < hatching.length; at += 6) {
      const [x1, y1, z1, x2, y2, z2] = hatching.subarray(at, at + 6) as unknown as number[];
      expect(y1).toBeCloseTo(2, 5);
      expect(y2).toBeCloseTo(2, 5);
      expect(Math.abs(Math.abs(x2! - x1!) - Math.abs(z2! - z1!))).toBeLessThan(1e-4);
    }
  });

  test('keeps the names of faces, and calls the new ones cut', () => {
    const tags = new Set(cut({ axis: 'x', at: 0, remove: 1 }).mesh.faces.map((face) => face.tag));
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
        const parts = ([1, -1] as const).map((remove) => weld(cut({ axis, at, remove }).mesh));
        for (const part of parts) expect(openEdgeCount(part)).toBe(0);
        const sum = parts.reduce((total, part) => total + meshVolume(part), 0);
        expect(Math.abs(sum / whole - 1)).toBeLessThan(2e-3);
      }),
      { numRuns: 8 },
    );
  });

  test('leaves the solid itself alone', () => {
    const before = wheel.check!.volumeMm3;
    cut({ axis: 'x', at: 3, remove: 1 });
    const repair = rackWheel();
    expect(builder.build(repair.bodies[0]!, evaluateRepair(repair))).toMatchObject({
      rebuiltSteps: 0,
      check: { volumeMm3: before },
    });
  });
});

import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, type Step } from '@core/record/model';
import { FILE_QUALITY, meshVolume, openEdgeCount, weld } from '@core/shaping/part';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import type { Kernel } from './kernel';
import { meshOf } from './mesh';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** A plate with a grid of holes, and a peg in a corner of it, tilted about x. */
function grille(rows: number, turn = 0) {
  const grid = {
    by: 'grid',
    count: rows,
    rows,
    dx: numberValue(4),
    dy: numberValue(4),
  };
  const steps: Step[] = [
    stepOf('plate', { length: 90, breadth: 90, thickness: 3, cornerRadius: 4 }, 'plate'),
    stepOf('hole', { diameter: 2.5, depth: 'through', on: 'top', x: -38, y: -38 }, 'hole'),
    { ...stepOf('pattern', { of: 'hole' }, 'holes'), pattern: grid } as Step,
    stepOf('peg', { diameter: 6, height: 4, on: 'top', x: 40, y: 40 }, 'peg'),
    { ...stepOf('move', { dx: 0, dy: 0, dz: 0 }, 'move'), axis: 'x', turn, scale: 1 } as Step,
  ];
  const { repair } = new RepairDraft('Grille').body('body', 'Body', steps);
  const builder = new BodyBuilder(kernel);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  return { builder, built };
}

test.each([0, 0.7])(
  'a plate of 144 holes, turned by %d, closes round its volume, face by face',
  (turn) => {
    const { builder, built } = grille(12, turn);
    const mesh = meshOf(built.solid!, FILE_QUALITY);
    const welded = weld(mesh);
    expect(openEdgeCount(welded)).toBe(0);
    // Chords of round holes: a little more is left than by the circles.
    expect(meshVolume(welded) / built.check!.volumeMm3).toBeCloseTo(1, 3);
    const tags = mesh.faces.map(({ tag }) => tag);
    expect(new Set(tags).size).toBe(new Set(built.solid!.tagList()).size);
    // Every triangle's corners say that they look the way that it lies.
    const { positions, normals, indices } = mesh;
    let inward = 0;
    for (let at = 0; at < indices.length; at += 3) {
      const [a, b, c] = [0, 1, 2].map((corner) => 3 * indices[at + corner]!) as [number, number, number];
      const [u, v] = [b, c].map((end) =>
        [0, 1, 2].map((axis) => positions[end + axis]! - positions[a + axis]!),
      ) as [number[], number[]];
      const out = [
        u[1]! * v[2]! - u[2]! * v[1]!,
        u[2]! * v[0]! - u[0]! * v[2]!,
        u[0]! * v[1]! - u[1]! * v[0]!,
      ];
      const along = out.reduce((sum, mm, axis) => sum + mm * normals[a + axis]!, 0);
      if (Math.hypot(...out) > 1e-4 && along <= 0) inward += 1;
    }
    expect(inward).toBe(0);
    builder.dispose();
  },
  30_000,
);

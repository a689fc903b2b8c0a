import {
  FILE_QUALITY,
  LAYER_QUALITY,
  meshVolume,
  openEdgeCount,
  SCREEN_QUALITY,
  weld,
} from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';

import type { Kernel, Shape } from './kernel';
import { assembled, piecesOf, wholeByKernel } from './meshPieces';
import { scoped, type Scope } from './scope';
import { spunPatchOf } from './spunPatch';
import { partsOf } from './topology';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

type Maker = (scope: Scope) => { shape: Shape; volume: number };

const axes = (scope: Scope, direction: [number, number, number] = [0, 0, 1]) =>
  scope.keep(
    new kernel.gp_Ax2(scope.keep(new kernel.gp_Pnt(3, -2, 5)), scope.keep(new kernel.gp_Dir(...direction))),
  );

/** What a line makes as it turns about the axis, closed by flat faces: points by how far out and up they are. */
function turned(scope: Scope, [from, to]: [out: number, up: number][]): Shape {
  const wire = scope.keep(new kernel.BRepBuilderAPI_MakeWire());
  const corners = [from!, to!, ...(to![0] > 0 ? [[0, to![1]]] : []), [0, from![1]]].map(([x, z]) =>
    scope.keep(new kernel.gp_Pnt(x!, 0, z!)),
  );
  for (const [index, corner] of corners.entries()) {
    const next = corners[(index + 1) % corners.length]!;
    wire.Add(scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeEdge(corner, next)).Edge()));
  }
  const face = scope.keep(new kernel.BRepBuilderAPI_MakeFace(scope.keep(wire.Wire()), true));
  const origin = scope.keep(new kernel.gp_Pnt(0, 0, 0));
  const axis = scope.keep(new kernel.gp_Ax1(origin, scope.keep(new kernel.gp_Dir(0, 0, 1))));
  return scope.keep(
    scope.keep(new kernel.BRepPrimAPI_MakeRevol(scope.keep(face.Face()), axis, 2 * Math.PI, true)).Shape(),
  );
}

/** Solids whose faces are all flat or patches, with their volumes by formula, mm³. */
const SOLIDS: Record<string, Maker> = {
  'a disc': (scope) => ({
    shape: scope.keep(scope.keep(new kernel.BRepPrimAPI_MakeCylinder(axes(scope), 8, 5)).Shape()),
    volume: Math.PI * 64 * 5,
  }),
  'a piece of a slanted disc': (scope) => ({
    shape: scope.keep(
      scope.keep(new kernel.BRepPrimAPI_MakeCylinder(axes(scope, [1, 2, 3]), 8, 5, 2)).Shape(),
    ),
    volume: 64 * 5,
  }),
  'a stump of a cone': (scope) => ({
    shape: turned(scope, [
      [20, 0],
      [4, 9],
    ]),
    volume: (Math.PI * 9 * (400 + 80 + 16)) / 3,
  }),
  'a ring': (scope) => ({
    shape: scope.keep(scope.keep(new kernel.BRepPrimAPI_MakeTorus(axes(scope), 15, 4)).Shape()),
    volume: 2 * Math.PI * 15 * Math.PI * 16,
  }),
  'a bend of a rod': (scope) => ({
    shape: scope.keep(scope.keep(new kernel.BRepPrimAPI_MakeTorus(axes(scope, [1, 0, 0]), 15, 4, 1)).Shape()),
    volume: 15 * Math.PI * 16,
  }),
  'a slice of a ball': (scope) => ({
    // Between 3 below and 5 above the middle: π ∫ (100 − z²) dz.
    shape: scope.keep(
      scope.keep(new kernel.BRepPrimAPI_MakeSphere(axes(scope), 10, Math.asin(-0.3), Math.asin(0.5))).Shape(),
    ),
    volume: Math.PI * (800 - (125 + 27) / 3),
  }),
};

/** As seen in a mirror: its surfaces have left-handed axes. */
function mirrored(scope: Scope, shape: Shape): Shape {
  const mirror = scope.keep(new kernel.gp_Trsf());
  mirror.SetMirror(axes(scope, [1, 0, 2]));
  return scope.keep(scope.keep(new kernel.BRepBuilderAPI_Transform(shape, mirror, true, false)).Shape());
}

const cases = Object.keys(SOLIDS).flatMap((name) =>
  [false, true].map((isMirrored) => [name, isMirrored] as const),
);

test.each(cases)('%s (in a mirror: %s) closes round its volume, facing out', (name, isMirrored) => {
  scoped((scope) => {
    const { shape: plain, volume } = SOLIDS[name]!(scope);
    const shape = isMirrored ? mirrored(scope, plain) : plain;
    for (const quality of [SCREEN_QUALITY, FILE_QUALITY, LAYER_QUALITY]) {
      const mesh = assembled(kernel, shape, piecesOf(kernel, shape, quality), () => '');
      const welded = weld(mesh);
      expect(openEdgeCount(welded)).toBe(0);
      const byKernel = weld(assembled(kernel, shape, wholeByKernel(kernel, shape, quality), () => ''));
      const miss = (of: typeof welded) => Math.abs(meshVolume(of) / volume - 1);
      // About as near as the kernel's own triangles.
      expect(miss(welded)).toBeLessThan(1.2 * miss(byKernel) + 1e-6);
      let leastAlong = 1;
      for (let at = 0; at < mesh.indices.length; at += 3) {
        const corners = [0, 1, 2].map((corner) => 3 * mesh.indices[at + corner]!) as [number, number, number];
        const direction = squareTo(mesh.positions, corners);
        if (Math.hypot(...direction) < 1e-4) continue;
        for (const corner of corners) {
          const along = direction.reduce((sum, one, axis) => sum + one * mesh.normals[corner + axis]!, 0);
          leastAlong = Math.min(leastAlong, along / Math.hypot(...direction));
        }
      }
      // Each corner looks the way its triangle lies, to within what the surface turns over it.
      expect(leastAlong).toBeGreaterThan(Math.cos(1.5 * quality.angle));
    }
  });
});

test.each(Object.keys(SOLIDS))('the round faces of %s are patches', (name) => {
  scoped((scope) => {
    const faces = partsOf(kernel, scope, SOLIDS[name]!(scope).shape, 'TopAbs_FACE');
    const patches = faces.filter((face) => spunPatchOf(kernel, scope, face));
    expect(patches).toHaveLength(1);
  });
});

test('a face with a hole in it, and one that comes to a point, are none', () => {
  scoped((scope) => {
    const whole = SOLIDS['a disc']!(scope).shape;
    const across = scope.keep(
      scope.keep(new kernel.BRepPrimAPI_MakeCylinder(axes(scope, [1, 0, 0.1]), 1, 30)).Shape(),
    );
    const cut = scope.keep(new kernel.BRepAlgoAPI_Cut(whole, across));
    const point = turned(scope, [
      [5, 0],
      [0, 9],
    ]);
    for (const shape of [scope.keep(cut.Shape()), point]) {
      const patches = partsOf(kernel, scope, shape, 'TopAbs_FACE').filter((face) =>
        spunPatchOf(kernel, scope, face),
      );
      expect(patches).toHaveLength(0);
    }
  });
});

function squareTo(positions: Float32Array, [a, b, c]: [number, number, number]): [number, number, number] {
  const [u, v] = [b, c].map((end) =>
    [0, 1, 2].map((axis) => positions[end + axis]! - positions[a + axis]!),
  ) as [[number, number, number], [number, number, number]];
  return [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
}

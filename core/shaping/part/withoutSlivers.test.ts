import fc from 'fast-check';

import { meshVolume, openEdgeCount, type WeldedMesh } from '@core/shaping/part';
import { manifoldKernel, meshOfManifold } from '@core/testing/manifold';

import { sliversIn, withoutSlivers } from './withoutSlivers';

/** A closed mesh in which corners were put next to sides, so that each leaves a sliver there. */
function withCaps(
  { positions, indices }: WeldedMesh,
  caps: readonly [triangle: number, along: number, off: number][],
): WeldedMesh {
  const places = [...positions];
  const triangles: number[] = [...indices];
  // From behind, so that those before keep their places.
  for (const [triangle, along, off] of [...caps].sort(([one], [other]) => other - one)) {
    const at = 3 * triangle;
    const [a, b, x] = triangles.slice(at, at + 3) as [number, number, number];
    const c = places.length / 3;
    for (let axis = 0; axis < 3; axis += 1) {
      const [from, to, top] = [a, b, x].map((corner) => places[3 * corner + axis]!) as [
        number,
        number,
        number,
      ];
      const on = from + along * (to - from);
      places.push(on + off * (top - on));
    }
    triangles.splice(at, 3, a, c, x, c, b, x, a, b, c);
  }
  return { positions: new Float32Array(places), indices: new Uint32Array(triangles) };
}

test('whatever slivers a closed mesh has, they go, it stays closed and as large as it was', async () => {
  const { Manifold } = await manifoldKernel();
  const solid = meshOfManifold(
    Manifold.cube([20, 14, 9], true)
      .subtract(Manifold.cylinder(20, 4, 4, 24, true))
      .refine(2),
  );
  const triangle = fc.nat(solid.indices.length / 3 - 1);
  const cap = fc.tuple(
    triangle,
    fc.double({ min: 0.2, max: 0.8, noNaN: true }),
    fc.double({ min: 1e-6, max: 8e-6, noNaN: true }),
  );
  fc.assert(
    fc.property(fc.uniqueArray(cap, { minLength: 1, maxLength: 12, selector: ([at]) => at }), (caps) => {
      const made = withCaps(solid, caps);
      fc.pre(openEdgeCount(made) === 0);
      expect(sliversIn(made.positions, made.indices).length).toBeGreaterThan(0);
      const rid = withoutSlivers(made);
      expect(openEdgeCount(rid)).toBe(0);
      expect(rid.positions).toBe(made.positions);
      expect(rid.indices.length).toBe(made.indices.length);
      expect(sliversIn(rid.positions, rid.indices)).toEqual([]);
      expect(meshVolume(rid)).toBeCloseTo(meshVolume(made), 1);
    }),
    { numRuns: 60 },
  );
});

test('a mesh without any is handed back as it is', async () => {
  const { Manifold } = await manifoldKernel();
  const solid = meshOfManifold(Manifold.cube([20, 14, 9], true));
  expect(withoutSlivers(solid)).toBe(solid);
});

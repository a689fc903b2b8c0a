import fc from 'fast-check';
import { evaluateRepair } from '@core/fitting/fit';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { outlineOf, raised } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { meshVolume, openEdgeCount, weld } from './weld';

/** A closed tetrahedron whose triangles have corners of their own, each off by up to a rounding. */
function loose(size: number, at: number, noise: () => number) {
  const corners = [
    [0, 0, 0],
    [size, 0, 0],
    [0, size, 0],
    [0, 0, size],
  ];
  const faces = [
    [0, 2, 1],
    [0, 1, 3],
    [1, 2, 3],
    [0, 3, 2],
  ];
  const positions = faces.flatMap((face) =>
    face.flatMap((corner) => corners[corner]!.map((mm) => mm + at + noise())),
  );
  return {
    positions: new Float32Array(positions),
    indices: Uint32Array.from(positions.keys()).subarray(0, 12),
  };
}

test('corners that differ by a rounding are one, wherever they lie', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 300, noNaN: true }),
      fc.double({ min: -300, max: 300, noNaN: true }),
      fc.infiniteStream(fc.constantFrom(-1, 0, 1)),
      (size, at, signs) => {
        // One step of single precision at this reach, either way.
        const step = 5e-8 * Math.max(1, Math.abs(at), Math.abs(at + size));
        const welded = weld(loose(size, at, () => step * (signs.next().value as number)));
        expect(welded.positions).toHaveLength(12);
        expect(openEdgeCount(welded)).toBe(0);
        expect(meshVolume(welded) / (size ** 3 / 6)).toBeCloseTo(1, 2);
      },
    ),
  );
});

test('corners that are apart stay apart, and a missing triangle leaves three edges open', () => {
  const apart = loose(0.01, 5, () => 0);
  expect(weld(apart).positions).toHaveLength(12);
  const open = { ...apart, indices: apart.indices.subarray(0, 9) };
  expect(openEdgeCount(weld(open))).toBe(3);
});

test('a bar on its edge on the back of nothing is closed: its corners are worked out for each face', async () => {
  const bar = raised({ ...outlineOf('polygon', { across: 6.8 }), sides: 4, by: 'corners' } as never, 99, {
    on: 'back',
    turn: Math.PI / 4,
    x: 8.5,
  });
  const { repair } = new RepairDraft('x').body('b', 'b', [bar]);
  const builder = new RepairBuilder(await testKernel());
  const built = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
  builder.dispose();
  expect(built.steps).toEqual([{ stepId: bar.id, state: 'built' }]);
  expect(built.check!.volumeMm3).toBeCloseTo((6.8 ** 2 / 2) * 99, 6);
});

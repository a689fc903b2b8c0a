import { evaluateRepair } from '@core/fitting/fit';
import type { Body, Step } from '@core/record/model';
import { weld, type Picked, type SolidMesh } from '@core/shaping/part';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { drainAt } from './drain';

async function built(steps: Step[]) {
  const { repair } = new RepairDraft('x').body('b', 'b', steps);
  const builder = new RepairBuilder(await testKernel());
  const { check, mesh, steps: outcomes } = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
  const found = { check: check!, mesh: mesh()!, outcomes, body: repair.bodies[0] as Body };
  builder.dispose();
  return found;
}
/** A face that looks a way, at the place of it that is nearest to a point. */
function tapped(mesh: SolidMesh, at: [number, number, number]): Extract<Picked, { kind: 'face' }> {
  const far = (corner: number) =>
    Math.hypot(...at.map((mm, axis) => mesh.positions[3 * corner + axis]! - mm));
  const reach = ({ start, count }: { start: number; count: number }) =>
    Math.min(...Array.from(mesh.indices.subarray(start, start + count), far));
  const flat = mesh.faces.filter(({ start, count }) =>
    at.some((mm, axis) =>
      Array.from(mesh.indices.subarray(start, start + count)).every(
        (corner) => Math.abs(mesh.positions[3 * corner + axis]! - mm) < 1e-4,
      ),
    ),
  );
  const [face] = (flat.length > 0 ? flat : mesh.faces).toSorted((a, b) => reach(a) - reach(b));
  return { kind: 'face', tag: face!.tag, near: at };
}
let ids = 0;
const newId = () => `drain-${(ids += 1)}`;

/** A closed box of 30 by 20 by 16 with walls of 2. */
const box = [block(30, 20, 16), stepOf('shell', { wall: 2, open: 'closed' })] as Step[];

test('a hole is drilled through the wall that is tapped, there, and lets out what was shut in', async () => {
  const { mesh, check } = await built(box);
  const drain = drainAt(mesh, tapped(mesh, [5, -10, 4]), newId);
  if (!drain.ok) throw new Error(drain.fault.code);
  expect(drain.value.wallMm).toBeCloseTo(2, 4);
  const after = await built([...box, drain.value.step]);
  expect(after.outcomes.every(({ state }) => state === 'built')).toBe(true);
  // A cylinder 3 wide and 2 long is gone, where it was tapped.
  expect(check.volumeMm3 - after.check.volumeMm3).toBeCloseTo((Math.PI / 4) * 9 * 2, 3);
  const { positions } = weld(after.mesh);
  const rim = Array.from({ length: positions.length / 3 }, (_, corner) =>
    positions.subarray(3 * corner, 3 * corner + 3),
  ).filter(([x, y, z]) => Math.abs(y! + 10) < 1e-4 && Math.abs(Math.hypot(x! - 5, z! - 4) - 1.5) < 0.01);
  expect(rim.length).toBeGreaterThan(8);
});

test('through the floor of a cup as well', async () => {
  const cup = [
    block(30, 20, 16),
    raised(outlineOf('rectangle', { length: 26, breadth: 16, cornerRadius: 0 }), 13, {
      effect: 'cut',
      on: 'top',
    }),
  ] as Step[];
  const { mesh, check } = await built(cup);
  const drain = drainAt(mesh, tapped(mesh, [-4, 3, 0]), newId);
  if (!drain.ok) throw new Error(drain.fault.code);
  expect(drain.value.wallMm).toBeCloseTo(3, 4);
  const after = await built([...cup, drain.value.step]);
  expect(check.volumeMm3 - after.check.volumeMm3).toBeCloseTo((Math.PI / 4) * 9 * 3, 3);
});

test('where no room is behind, or the face is round, it is refused', async () => {
  const { mesh } = await built([block(30, 20, 16)] as Step[]);
  expect(drainAt(mesh, tapped(mesh, [5, -10, 4]), newId)).toEqual({
    ok: false,
    fault: { code: 'drain.noRoom' },
  });
  const { mesh: tube } = await built([
    raised(outlineOf('circle', { diameter: 20 }), 30),
    raised(outlineOf('circle', { diameter: 14 }), 'through', { effect: 'cut', on: 'top' }),
  ] as Step[]);
  const wall = tube.faces.find(({ tag }) => tag.includes('side') || tag.includes('wall'))!;
  const near = Array.from(
    tube.positions.subarray(3 * tube.indices[wall.start]!, 3 * tube.indices[wall.start]! + 3),
  );
  expect(drainAt(tube, { kind: 'face', tag: wall.tag, near: near as never }, newId)).toEqual({
    ok: false,
    fault: { code: 'drain.notFlat' },
  });
});

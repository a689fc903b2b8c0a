import { evaluateRepair } from '@core/fitting/fit';
import { distanceTo } from '@core/shaping/boxTree';
import { meshVolume, type SolidMesh } from '@core/shaping/part';
import { LONG } from '@core/testing/long';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS, repairOf, type Part } from '@core/testing/parts';

import { BodyBuilder } from './index';
import { morphTarget } from './morphTarget';

jest.setTimeout(400_000);

/** Every part with its sizes takes minutes: with EVEN_SPARE_LONG=1. */
const SOME = ['Cap over a foot', 'Threaded plug', 'Ball lever', 'Lever arm', 'Pipe clamp'];
const PARTS = REAL_PARTS.filter(({ name }) => (LONG ? !name.startsWith('Gear') : SOME.includes(name)));
const SIZES = LONG ? 6 : 3;

async function meshed(part: Part, sizes: Readonly<Record<string, number>>): Promise<SolidMesh | null> {
  const builder = new BodyBuilder(await testKernel());
  const repair = repairOf(part, sizes);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const mesh = built.steps.every(({ state }) => state === 'built') ? structuredClone(built.mesh()) : null;
  builder.dispose();
  return mesh;
}

const welded = ({ indices }: SolidMesh, positions: Float32Array) => ({ positions, indices });

/** How far the furthest of points is from a mesh, mm. */
const furthest = (mesh: SolidMesh, points: Float32Array): number => {
  const other = welded(mesh, mesh.positions);
  let mm = 0;
  for (let at = 0; at < points.length; at += 3)
    mm = Math.max(mm, distanceTo(other, [points[at]!, points[at + 1]!, points[at + 2]!]));
  return mm;
};

test.each(PARTS)('$name follows its sizes: every vertex ends on the part as it is built', async (part) => {
  const from = (await meshed(part, {}))!;
  const named = Object.keys(part.sizes).filter((name) => !name.endsWith('Count'));
  let followed = 0;
  for (const name of named.slice(0, SIZES)) {
    const sizes = { [name]: part.sizes[name]! * 1.04 };
    const to = part.holds({ ...part.sizes, ...sizes }) ? await meshed(part, sizes) : null;
    const target = to && morphTarget(from, to);
    if (!target) continue;
    followed += 1;
    expect(furthest(to, target.positions)).toBeLessThan(0.02);
    expect(furthest(to, target.edges)).toBeLessThan(0.02);
    // It encloses as much, so nothing lies on the wrong side of anything.
    const volume = meshVolume(welded(from, target.positions));
    expect(volume / meshVolume(welded(to, to.positions))).toBeCloseTo(1, 2);
  }
  expect(followed).toBeGreaterThan(0);
});

test('a part with other faces has no counterpart: nothing is made up', async () => {
  const plug = REAL_PARTS.find(({ name }) => name === 'Threaded plug')!;
  const from = (await meshed(plug, {}))!;
  // The collar is as wide as the head: faces that were two are one.
  const to = (await meshed(plug, { collar: plug.sizes.collar! * 1.04 }))!;
  expect(to.faces.length).not.toBe(from.faces.length);
  expect(morphTarget(from, to)).toBeNull();
});

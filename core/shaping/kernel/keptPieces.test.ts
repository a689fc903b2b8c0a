import { evaluateRepair } from '@core/fitting/fit';
import { SCREEN_QUALITY, type SolidMesh } from '@core/shaping/part';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { closedVolume } from './closedVolume';
import { KeptPieces } from './keptPieces';
import { meshOf } from './mesh';

/** How many triangles each face has and where they lie, in an order of their own. */
const byFace = ({ faces, positions, indices }: SolidMesh) =>
  faces
    .map(({ start, count, tag }) => {
      const corners = [...indices.subarray(start, start + count)];
      return `${tag} ${count} ${corners.reduce((sum, corner) => sum + positions[3 * corner]!, 0).toFixed(2)}`;
    })
    .sort();

// The gear takes longer than all others together, and has no other kind of face.
test.each(
  REAL_PARTS.filter(({ name }) => name !== 'Gear with a hub').map((part) => [part.name, part] as const),
)(
  'after a change of the last step, %s has the triangles of one that is built at once',
  async (_name, part) => {
    const kernel = await testKernel();
    const repair = repairOf(part);
    const numbers = evaluateRepair(repair);
    const body = repair.bodies[0]!;
    const builder = new BodyBuilder(kernel);
    for (const steps of [body.steps, body.steps.slice(0, -1), body.steps]) {
      const mesh = builder.build({ ...body, steps }, numbers).mesh()!;
      const alone = new BodyBuilder(kernel);
      const other = alone.build({ ...body, steps }, numbers).mesh()!;
      alone.dispose();
      expect(byFace(mesh)).toEqual(byFace(other));
      expect(mesh.edgeRuns.length).toBe(other.edgeRuns.length);
      expect(closedVolume(mesh)! / closedVolume(other)!).toBeCloseTo(1, 7);
    }
    builder.dispose();
  },
);

test('a part whose faces are all known is put together from them', async () => {
  const kernel = await testKernel();
  const part = REAL_PARTS.find(({ name }) => name === 'Box for a switch')!;
  const builder = new BodyBuilder(kernel);
  const repair = repairOf(part);
  const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const kept = new KeptPieces(kernel);
  const first = meshOf(solid!, SCREEN_QUALITY, kept);
  const again = meshOf(solid!, SCREEN_QUALITY, kept);
  expect(byFace(again)).toEqual(byFace(first));
  expect(closedVolume(again)).toBe(closedVolume(first));
  expect(again.edges.length).toBe(first.edges.length);
  kept.dispose();
  builder.dispose();
});

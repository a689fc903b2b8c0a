import { dot, unit, type Vec3 } from '@core/foundations/vectors';
import { SCREEN_QUALITY, type SolidMesh } from '@core/shaping/part';
import { evaluateRepair } from '@core/fitting/fit';
import { meshOf } from '@core/shaping/kernel';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { block, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { directionAt } from './directionAt';

let mesh: SolidMesh;
const RADIUS = 6;

/** A block 40 × 20 × 10 about the axle line, with a hole through it. */
beforeAll(async () => {
  const { repair } = new RepairDraft('x').body('arm', 'Arm', [
    { ...block(40, 20, 10), id: 'block' },
    stepOf('hole', { diameter: 2 * RADIUS, depth: 'through', x: 0, y: 0 }, 'bore'),
  ]);
  const kernel = await testKernel();
  const builder = new BodyBuilder(kernel);
  const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  mesh = meshOf(solid!, SCREEN_QUALITY);
  builder.dispose();
});

const tagAt = (point: Vec3) => {
  const faces = mesh.faces.filter(({ start, count }) =>
    [...mesh.indices.slice(start, start + count)].some((corner) =>
      point.every((mm, axis) => Math.abs(mesh.positions[3 * corner + axis]! - mm) < 1e-4),
    ),
  );
  return faces.map(({ tag }) => tag);
};

test('a flat face points out of the part', () => {
  const [top] = tagAt([20, 10, 10]).filter((tag) => tagAt([-20, -10, 10]).includes(tag));
  const found = directionAt(mesh, { kind: 'face', tag: top!, near: [3, 9, 10] })!;
  expect(dot(found, [0, 0, 1])).toBeCloseTo(1, 12);
});

test('a round face points the way it does where it was tapped: into the hole', () => {
  const wall = mesh.faces.find(({ tag }) => tag.startsWith('bore'))!.tag;
  for (const angle of [0.3, 2, 4]) {
    const near: Vec3 = [RADIUS * Math.cos(angle), RADIUS * Math.sin(angle), 5];
    const found = directionAt(mesh, { kind: 'face', tag: wall, near })!;
    expect(dot(found, unit([-near[0], -near[1], 0]))).toBeGreaterThan(Math.cos(0.2));
  }
});

test('an edge points along itself; a corner points nowhere, nor does what is not there', () => {
  const along = mesh.edgeRuns.find(({ start, count }) => {
    const [x, y, z, x2, y2, z2] = mesh.edges.slice(6 * start, 6 * start + 6);
    return count === 1 && y === y2 && z === z2 && y === 10 && z === 10 && x !== x2;
  })!;
  const near: Vec3 = [7, 10, 10];
  const found = directionAt(mesh, { kind: 'edge', tags: along.tags, near })!;
  expect(found.map(Math.abs)).toEqual([1, 0, 0]);
  expect(directionAt(mesh, { kind: 'corner', near })).toBeNull();
  expect(directionAt(mesh, { kind: 'face', tag: 'gone:top', near })).toBeNull();
});

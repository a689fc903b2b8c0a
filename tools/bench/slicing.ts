import type { ManifoldToplevel } from 'manifold-3d';
import { Clipper, EndType, FillRule, JoinType, type Paths64 } from 'clipper2-ts';

import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { layerMeshOf } from '@core/reporting/make';
import type { WeldedMesh } from '@core/shaping/part';
import { oriented } from '@core/making/printing';
import { settingsNamed } from '@core/testing/sliced';
import { LAYER_PRINTERS } from '@core/record/workshop';
import { areaWithin, contoursAt, cutTable, Slicer, type LayerSettings } from '@core/making/slice';
import { BodyBuilder } from '@core/shaping/solid';
import { REAL_PARTS, repairOf } from '@core/testing/parts';
import { ringMesh } from '@core/testing/slowRays';
import { weld } from '@core/shaping/part';

import { figure, timePair, type Figure } from './figure';

const LAYER_MM = 0.2;
const everyday = settingsNamed('everyday');
const machine = LAYER_PRINTERS[0]!;
const LINE = everyday.lineMm;

/** Laying in layers against the same work by libraries called by hand, in one run. */
export async function slicingFigures(kernel: Kernel): Promise<Figure[]> {
  // It has a door for modern modules only.
  const manifold = await (await import('manifold-3d')).default();
  manifold.setup();
  const parts = REAL_PARTS.flatMap((part) => {
    const repair = repairOf(part);
    const builder = new BodyBuilder(kernel, true);
    const mesh = layerMeshOf(builder.build(repair.bodies[0]!, evaluateRepair(repair)), null);
    builder.dispose();
    return mesh.ok ? [oriented(mesh.value, [0, 0, -1])] : [];
  });
  // All of them would take minutes.
  const some = [parts[2]!, parts[4]!];
  const large = oriented(weld(ringMesh(400, 250, 40, 8)), [0, 0, -1]);
  return [
    contourFigure(`contours of ${parts.length} real parts`, manifold, parts),
    contourFigure('contours of 200,000 triangles', manifold, [large]),
    wholeFigure(some),
    anotherFilling(some),
  ];
}

function heightsOf({ positions }: WeldedMesh): number[] {
  let top = 0;
  for (let at = 2; at < positions.length; at += 3) top = Math.max(top, positions[at]!);
  return Array.from({ length: Math.round(top / LAYER_MM) }, (_, layer) => (layer + 0.5) * LAYER_MM);
}

function contourFigure(name: string, { Manifold, Mesh }: ManifoldToplevel, meshes: WeldedMesh[]): Figure {
  const solids = meshes.map(
    ({ positions, indices }) =>
      new Manifold(new Mesh({ numProp: 3, vertProperties: positions, triVerts: indices })),
  );
  const tables = meshes.map((mesh) => ({ table: cutTable(mesh), heights: heightsOf(mesh) }));
  const [ours, theirs] = timePair(
    3,
    1,
    () => {
      for (const { table, heights } of tables)
        for (const contours of contoursAt(table, heights)) void contours;
    },
    () => {
      for (const [index, solid] of solids.entries()) {
        for (const height of tables[index]!.heights) {
          const section = solid.slice(height);
          section.toPolygons();
          section.delete();
        }
      }
    },
  );
  for (const solid of solids) solid.delete();
  return figure(name, 'ms', ours, theirs, { atMost: 0.5 });
}

function whole(slicer: Slicer, settings: LayerSettings): void {
  const work = slicer.run(settings, machine);
  while (!work.next().done);
}

/** All of it against the offsets, unions and clippings that its layers need, called by hand. */
function wholeFigure(meshes: WeldedMesh[]): Figure {
  const [ours, bare] = timePair(
    1,
    0,
    () => {
      for (const mesh of meshes)
        whole(new Slicer(mesh), { ...everyday, layerMm: LAYER_MM, firstLayerMm: LAYER_MM });
    },
    () => {
      for (const mesh of meshes) byHand(mesh);
    },
  );
  return figure('laying two real parts in layers, against bare offsets and clippings', 'ms', ours, bare, {
    atMost: 1.5,
  });
}

const move = (paths: Paths64, mm: number) =>
  Clipper.inflatePaths(paths, mm * 1e4, JoinType.Miter, EndType.Polygon, 2);

function byHand(mesh: WeldedMesh): void {
  const regions: Paths64[] = [];
  for (const contours of contoursAt(cutTable(mesh), heightsOf(mesh))) regions.push(areaWithin(contours));
  const insides = regions.map((region) => {
    let inside = region;
    for (let wall = 0; wall < everyday.walls && inside.length > 0; wall += 1) {
      const next = move(inside, -LINE);
      move(next, LINE / 2);
      Clipper.difference(inside, move(next, LINE), FillRule.NonZero);
      inside = next;
    }
    return inside;
  });
  for (const [layer, inside] of insides.entries()) {
    if (inside.length === 0) continue;
    let covered = inside;
    for (let step = -everyday.bottomLayers; step <= everyday.topLayers; step += 1) {
      const other = regions[layer + step];
      if (step !== 0 && other) covered = Clipper.intersect(covered, other, FillRule.NonZero);
    }
    if (covered.length === 0) continue;
    const filled = move(move(covered, -2 * LINE), 2 * LINE);
    const solid = Clipper.difference(inside, filled, FillRule.NonZero);
    move(move(solid, -LINE / 2), LINE / 2);
    const below = regions[layer - 1];
    if (below) Clipper.difference(regions[layer]!, move(below, 0.2), FillRule.NonZero);
  }
}

/** Another share of filling, with what stays kept, against all anew. */
function anotherFilling(meshes: WeldedMesh[]): Figure {
  const kept = meshes.map((mesh) => new Slicer(mesh));
  for (const slicer of kept) whole(slicer, everyday);
  let share = 0.2;
  const [again, anew] = timePair(
    1,
    0,
    () => {
      share += 0.02;
      for (const slicer of kept) whole(slicer, { ...everyday, fillShare: share });
    },
    () => {
      for (const mesh of meshes) whole(new Slicer(mesh), { ...everyday, fillShare: share });
    },
  );
  return figure('another filling of two real parts, against all anew', 'ms', again, anew, { atMost: 0.4 });
}

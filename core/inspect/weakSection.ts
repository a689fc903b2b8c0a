import type { Body, Material } from '@core/model';
import { weld, type FaceTag, type SolidMesh } from '@core/part';
import {
  axesOf,
  edgeInPart,
  heldLoadOf,
  madeOfMaterial,
  weakestSection,
  type Made,
  type Weakest,
} from '@core/strength';

/** A section that bears less than is asked of it, and the two faces that it would have to be thicker between. */
export interface WeakSection {
  forceN: number;
  mostN: number;
  leverMm: number;
  thicker: number;
  /** Its layers are pulled apart there. */
  isAcross: boolean;
  /** Thickness along the way that it is bent, and the faces on both sides; null where it is rather pulled or sheared. */
  wall: { mm: number; tag: FaceTag; behind: FaceTag } | null;
  segments: Float32Array;
}

/** @param down the way that lies on the bed; null of what is not laid in layers. */
export function weakSectionOf(
  body: Pick<Body, 'laying'>,
  mesh: SolidMesh,
  material: Material,
  down: Made['down'],
): WeakSection | null {
  const load = heldLoadOf(body);
  if (!load) return null;
  const made = madeOfMaterial(material, down);
  const weakest = weakestSection(weld(mesh), load, made);
  if (!weakest || weakest.thicker === null) return null;
  return {
    forceN: load.forceN,
    mostN: weakest.mostN,
    leverMm: weakest.leverMm,
    thicker: weakest.thicker,
    isAcross: weakest.isAcross,
    wall: wallOf(mesh, weakest),
    segments: edgeInPart(weakest.section, weakest.plane),
  };
}

/** What is furthest out on both sides along the way that a section is bent, and by which faces. */
function wallOf(mesh: SolidMesh, { plane, bentAlong }: Weakest): WeakSection['wall'] {
  if (!bentAlong) return null;
  const [u, v] = axesOf(plane.axis);
  const { positions, indices } = mesh;
  let [low, high] = [Infinity, -Infinity];
  let [under, over]: (FaceTag | null)[] = [null, null];
  for (const { start, count, tag } of mesh.faces) {
    for (let at = start; at < start + count; at += 3) {
      const corners = [0, 1, 2].map((side) => 3 * indices[at + side]!);
      const sides = corners.map((corner) => positions[corner + plane.axis]! - plane.at);
      if (Math.min(...sides) > 0 || Math.max(...sides) < 0) continue;
      // A face that is cut at its middle stands for how far out it is: at a corner two faces meet.
      const middle = [u, v].map((axis) =>
        corners.reduce((sum, corner) => sum + positions[corner + axis]! / 3, 0),
      );
      const far = middle[0]! * bentAlong[0] + middle[1]! * bentAlong[1];
      if (far < low) [low, under] = [far, tag];
      if (far > high) [high, over] = [far, tag];
    }
  }
  return under && over && under !== over ? { mm: high - low, tag: over, behind: under } : null;
}

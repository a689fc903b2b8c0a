import type { Body } from '@core/record/model';
import { dot, minus, type Vec3 } from '@core/foundations/vectors';
import { weld, type FaceTag, type SolidMesh } from '@core/shaping/part';
import {
  edgeInPart,
  heldLoadOf,
  inPlane,
  weakestSection,
  type PrintedMaterial,
  type Weakest,
} from '@core/checking/strength';

/** A section that bears less than is asked of it, and the two faces that it would have to be thicker between. */
export interface WeakSection {
  forceN: number;
  mostN: number;
  leverMm: number;
  safety: number;
  thicker: number;
  /** Its layers are pulled apart there. */
  isAcross: boolean;
  /** Thickness along the way that it is bent, and the faces on both sides; null where it is rather pulled or sheared. */
  wall: { mm: number; tag: FaceTag; behind: FaceTag } | null;
  segments: Float32Array;
}

/** @param safety factor that what the material bears was divided by. */
export function weakSectionOf(
  body: Pick<Body, 'laying'>,
  mesh: SolidMesh,
  made: PrintedMaterial,
  safety: number,
): WeakSection | null {
  const load = heldLoadOf(body);
  if (!load) return null;
  const weakest = weakestSection(weld(mesh), load, made);
  if (!weakest || weakest.thicker === null) return null;
  return {
    forceN: load.forceN,
    mostN: weakest.mostN,
    leverMm: weakest.leverMm,
    safety,
    thicker: weakest.thicker,
    isAcross: weakest.isAcross,
    wall: wallOf(mesh, weakest),
    segments: edgeInPart(weakest.section, weakest.plane),
  };
}

/** What is furthest out on both sides along the way that a section is bent, and by which faces. */
function wallOf(mesh: SolidMesh, { plane, bentAlong }: Weakest): WeakSection['wall'] {
  if (!bentAlong) return null;
  const { positions, indices } = mesh;
  let [low, high] = [Infinity, -Infinity];
  let [under, over]: (FaceTag | null)[] = [null, null];
  for (const { start, count, tag } of mesh.faces) {
    for (let at = start; at < start + count; at += 3) {
      const corners = [0, 1, 2].map((side): Vec3 => {
        const corner = 3 * indices[at + side]!;
        return [positions[corner]!, positions[corner + 1]!, positions[corner + 2]!];
      });
      const sides = corners.map((corner) => dot(minus(corner, plane.origin), plane.normal));
      if (Math.min(...sides) > 0 || Math.max(...sides) < 0) continue;
      // A face that is cut at its middle stands for how far out it is: at a corner two faces meet.
      const places = corners.map((corner) => inPlane(plane, corner));
      const far = places.reduce((sum, [x, y]) => sum + (x * bentAlong[0] + y * bentAlong[1]) / 3, 0);
      if (far < low) [low, under] = [far, tag];
      if (far > high) [high, over] = [far, tag];
    }
  }
  return under && over && under !== over ? { mm: high - low, tag: over, behind: under } : null;
}

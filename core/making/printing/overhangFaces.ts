import { joinedFloats } from '@core/foundations/floats';
import { hatch } from '@core/shaping/hatching';
import type { WeldedMesh } from '@core/shaping/part';

import type { BedPlace } from './partOnBed';

/** What of a part faces down unsupported, to be painted on it. mm. */
export interface OverhangFaces {
  /** Corners of triangles. */
  triangles: Float32Array;
  /** Both ends of the lines that hatch them. */
  hatching: Float32Array;
  areaMm2: number;
}

/** What lies this near to the bed stands on it, mm. */
export const ON_BED_MM = 0.05;
/** A wall that leans as far as the machine manages does not hang, whatever its facets: on the sine of its angle. */
const SLACK = 0.01;

/** How far down a face may look, as the cosine between its normal and straight down. @param overhang from upright, radians. */
export const steepestOf = (overhang: number): number => Math.sin(overhang) + SLACK;

/** Between the lines that hatch overhangs. */
const HATCH_MM = 1;

/**
 * Faces that lean out farther than a machine manages.
 * @param oriented in its orientation, on height 0.
 * @param overhang how far from upright a wall may lean out, radians.
 */
export function overhangFaces(oriented: WeldedMesh, overhang: number): OverhangFaces {
  const { positions, indices } = oriented;
  const steepest = steepestOf(overhang);
  const found: number[] = [];
  let areaMm2 = 0;
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [3 * indices[at]!, 3 * indices[at + 1]!, 3 * indices[at + 2]!];
    const side = (to: number, axis: number) => positions[to + axis]! - positions[a + axis]!;
    const nx = side(b, 1) * side(c, 2) - side(b, 2) * side(c, 1);
    const ny = side(b, 2) * side(c, 0) - side(b, 0) * side(c, 2);
    const nz = side(b, 0) * side(c, 1) - side(b, 1) * side(c, 0);
    const twice = Math.hypot(nx, ny, nz);
    if (!(-nz > steepest * twice)) continue;
    if (Math.max(positions[a + 2]!, positions[b + 2]!, positions[c + 2]!) < ON_BED_MM) continue;
    found.push(indices[at]!, indices[at + 1]!, indices[at + 2]!);
    areaMm2 += twice / 2;
  }
  const triangles = new Float32Array(3 * found.length);
  for (const [corner, index] of found.entries())
    triangles.set(positions.subarray(3 * index, 3 * index + 3), 3 * corner);
  const { hatching } = hatch(
    { positions, indices: new Uint32Array(found) },
    [{ start: 0, count: found.length }],
    { x: [1, 0, 0], y: [0, 1, 0] },
    HATCH_MM,
  );
  return { triangles, hatching, areaMm2 };
}

/** The same on each of several pieces, moved to where they stand. @param middle of the bed, mm. */
export function overhangsOnBed(
  parts: readonly { faces: OverhangFaces; at: readonly BedPlace[] }[],
  [middleX, middleY]: BedPlace,
): OverhangFaces {
  const moved = (of: 'triangles' | 'hatching') => {
    return joinedFloats(
      parts.flatMap(({ faces, at }) =>
        at.map(([x, y]) =>
          faces[of].map((mm, index) =>
            index % 3 === 2 ? mm : index % 3 === 0 ? mm + x + middleX : mm + y + middleY,
          ),
        ),
      ),
    );
  };
  return {
    triangles: moved('triangles'),
    hatching: moved('hatching'),
    areaMm2: parts.reduce((sum, { faces, at }) => sum + at.length * faces.areaMm2, 0),
  };
}

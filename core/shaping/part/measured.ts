import type { Vec3 } from '@core/foundations/vectors';
import type { FaceTag } from '@core/foundations/faceTag';

/**
 * Something on a solid that was tapped: a face by its tag, an edge by the tags on both of its sides, or a corner; and
 * where.
 */
export type Picked =
  | { kind: 'face'; tag: FaceTag; near: Vec3 }
  | { kind: 'edge'; tags: readonly [FaceTag, FaceTag]; near: Vec3 }
  | { kind: 'corner'; near: Vec3 };

/** What was measured. Lengths in mm, areas in mm², angles in radians. */
export interface Measured {
  /** Of the first thing, and of the second if there is one. */
  things: Thing[];
  /** The shortest way between two things, and where it begins and ends. */
  distance: { mm: number; from: Vec3; to: Vec3 } | null;
  /**
   * Between the middles of two round things: of their axes where those are parallel, else of their centres; or from a
   * corner to the axis of a round thing.
   */
  centres: { mm: number; from: Vec3; to: Vec3 } | null;
  /** Between two flat faces, straight edges or axes. */
  angle: number | null;
  /** Thickness of the material under the point that was tapped, for one face alone. */
  wallMm: number | null;
}

export type Thing =
  | { kind: 'plane'; areaMm2: number }
  | { kind: 'cylinder'; diameterMm: number; areaMm2: number }
  | { kind: 'surface'; areaMm2: number }
  | { kind: 'line'; lengthMm: number }
  | { kind: 'circle'; diameterMm: number; lengthMm: number }
  | { kind: 'curve'; lengthMm: number }
  /** Where it is: to the right, to the back and up. */
  | { kind: 'corner'; at: Vec3 };

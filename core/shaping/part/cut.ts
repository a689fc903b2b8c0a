import { eachAxis, type Vec3 } from '@core/foundations/vectors';
import type { SolidMesh } from './solidMesh';

export type Axis = 'x' | 'y' | 'z';

/** A plane in any way; what lies beyond it, on the viewer's side, is taken away. */
export interface CutPlane {
  /** Square to the plane, towards the viewer; a unit vector. */
  towards: Vec3;
  /** Where it stands along that way, mm from the origin. */
  at: number;
}

/** The plane square to an axis at a coordinate, mm. @param remove which side is taken away: 1 that of larger coordinates. */
export function squareCut(axis: Axis, at: number, remove: 1 | -1): CutPlane {
  const towards = eachAxis((one) => (AXES[one] === axis ? remove : 0));
  return { towards, at: remove * at };
}

/** A solid cut open: its mesh, with cut faces tagged CUT_TAG, and hatching on them. */
export interface OpenedSolid {
  mesh: SolidMesh;
  /** Segments, six numbers each, mm. */
  hatching: Float32Array;
  /** Area of the cut, mm². */
  cutAreaMm2: number;
}

export const CUT_TAG = 'cut';

const AXES: readonly Axis[] = ['x', 'y', 'z'];

import { eachAxis, type Vec3 } from '@core/foundations/vectors';

/** What a check of a solid found. Volume in mm³. */
export interface SolidCheck {
  /** Separate solids. */
  pieces: number;
  /** The kernel's own analysis of geometry and topology. */
  valid: boolean;
  /** Every shell says that it is closed. The flag is confirmed by everyEdgeHasTwoFaces. */
  closed: boolean;
  volumeMm3: number;
}

/** Smallest box along the axes that holds a shape, mm: [xmin, ymin, zmin, xmax, ymax, zmax]. */
export type Box = [number, number, number, number, number, number];

export const middleOfBox = (box: Readonly<Box>): Vec3 => eachAxis((axis) => (box[axis] + box[axis + 3]!) / 2);

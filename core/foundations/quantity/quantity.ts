/**
 * What kind of number a size is. Inside the core a length is in mm, an angle in radians, a count is plain;
 * other units are met only where people read and write.
 */
export const QUANTITIES = ['length', 'angle', 'count'] as const;
export type Quantity = (typeof QUANTITIES)[number];

/** Radians in one degree. */
export const RAD_PER_DEGREE = Math.PI / 180;

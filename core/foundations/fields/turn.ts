import { angleWithin } from './plainNumber';

/** Radians, a turn about the upright axis through a thing's middle. */
export const turn = angleWithin(-7, 7);

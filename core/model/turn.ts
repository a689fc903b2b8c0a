import { z } from 'zod';

/** Radians, a turn about the upright axis through a thing's middle. */
export const turn = z.number().min(-7).max(7);

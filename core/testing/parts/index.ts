import { FLAT_PARTS } from './flat';
import type { Part } from './part';
import { ROUND_PARTS } from './round';

export { repairOf, type Part } from './part';

/** Real parts of 8 steps and more, with their volumes: what shape and speed are held against. */
export const REAL_PARTS: readonly Part[] = [...ROUND_PARTS, ...FLAT_PARTS];

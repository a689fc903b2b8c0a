import { BLOCKS } from './blocks';
import { HOLDERS } from './holders';
import { LONGER } from './longer';
import type { Part } from './part';
import { PLATES } from './plates';
import { TUBES } from './tubes';
import { WHEELS } from './wheels';

export { repairOf, type Part } from './part';

/** Real parts of 8 to 29 steps, with their volumes: what shape and speed are held against. */
export const REAL_PARTS: readonly Part[] = [...WHEELS, ...TUBES, ...PLATES, ...HOLDERS, ...BLOCKS, ...LONGER];

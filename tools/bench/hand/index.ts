import { BLOCKS } from './blocks';
import type { HandMade } from './byHand';
import { HOLDERS } from './holders';
import { LONGER } from './longer';
import { PLATES } from './plates';
import { TUBES } from './tubes';
import { WHEELS } from './wheels';

export { ByHand } from './byHand';
export { DEMO_BY_HAND, type Numbers } from './demos';

/** The real parts, all but the gear, whose teeth take a program of their own. */
export const REAL_BY_HAND: HandMade = {
  ...WHEELS,
  ...TUBES,
  ...PLATES,
  ...HOLDERS,
  ...BLOCKS,
  ...LONGER,
};

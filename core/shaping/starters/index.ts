import { FLAT_STARTERS } from './flat';
import { ROUND_STARTERS } from './round';
import type { Starter } from './starter';

export { beginWith, type Begun } from './begin';
export type { StarterFigure } from './figure';
export { STARTER_FIGURES } from './figures';
export { circle, fromTop, onGround, onTop, rectangle, step } from './steps';
export type { Ask, Starter } from './starter';

/** Whole recipes for common spares. */
export const STARTERS: readonly Starter[] = [...ROUND_STARTERS, ...FLAT_STARTERS];

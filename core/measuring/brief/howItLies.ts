import type { Brief } from '@core/foundations/fields';

/** How a part that is made in layers had better lie, and why, in a code that has words. */
export type HowItLies = 'springsAlong' | 'loadAlong' | 'rubsRound' | 'brokeAcross';

/**
 * The usual ways to lay a part, from what it must bear and how the old one broke: layers hold along themselves, and come apart across.
 * What weighs most comes first.
 */
export function howItLies({ load, movement, breaks }: Brief): HowItLies[] {
  const bears = load === 'steady' || load === 'knocks';
  return [
    ...(movement === 'springs' ? (['springsAlong'] as const) : []),
    ...(bears ? (['loadAlong'] as const) : []),
    ...(movement === 'rubs' ? (['rubsRound'] as const) : []),
    ...(breaks.includes('brittle') && !bears ? (['brokeAcross'] as const) : []),
  ];
}

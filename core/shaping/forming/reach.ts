import { takesAway, type Effect } from '@core/record/model';
import { OVERRUN_MM, type Placement } from '@core/shaping/part';

/**
 * From where to where a solid of a height reaches, along its stand. Added ones rise from their place; cuts and what is
 * kept in common go into what is there, and come out past the outermost face that they begin at.
 *
 * @param height mm, or null for right through.
 */
export function reach(
  { level, up, past, box }: Placement,
  effect: Effect,
  height: number | null,
): { from: number; to: number } {
  if (height === null) return { from: (box?.[2] ?? 0) - OVERRUN_MM, to: (box?.[5] ?? 0) + OVERRUN_MM };
  if (!takesAway(effect)) return { from: level, to: level + height };
  return up ? { from: level - past, to: level + height } : { from: level - height, to: level + past };
}

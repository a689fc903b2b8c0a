import type { Vec3 } from '@core/foundations/vectors';
import type { SideNames } from '@core/record/model';
import { capital } from '@core/shaping/sentence';

/** Where the view looks from. */
export type Stance = 'plan' | 'front' | 'side' | 'corner';

/** Way from the part to the viewer for each stance, and the way that is up on the picture. Unit vectors. */
export const STANCES: Record<Stance, { name: string; side?: keyof SideNames; towards: Vec3; up: Vec3 }> = {
  plan: { name: 'Plan', side: 'top', towards: [0, 0, 1], up: [0, 1, 0] },
  front: { name: 'Front', side: 'front', towards: [0, -1, 0], up: [0, 0, 1] },
  side: { name: 'Side', side: 'right', towards: [1, 0, 0], up: [0, 0, 1] },
  corner: { name: 'Corner', towards: [0.612, -0.612, 0.5], up: [0, 0, 1] },
};

/** A stance by the name of the side that it shows, where that has one. */
export function stanceName(stance: Stance, sides: SideNames = {}): string {
  const { name, side } = STANCES[stance];
  const own = side && sides[side];
  return own ? capital(own) : name;
}

export const STANCE_ORDER: readonly Stance[] = ['plan', 'front', 'side', 'corner'];

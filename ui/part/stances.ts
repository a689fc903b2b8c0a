import type { Vec3 } from '@core/foundations/vectors';

/** Where the view looks from. */
export type Stance = 'plan' | 'front' | 'side' | 'corner';

/** Way from the part to the viewer for each stance, and the way that is up on the picture. Unit vectors. */
export const STANCES: Record<Stance, { name: string; towards: Vec3; up: Vec3 }> = {
  plan: { name: 'Plan', towards: [0, 0, 1], up: [0, 1, 0] },
  front: { name: 'Front', towards: [0, -1, 0], up: [0, 0, 1] },
  side: { name: 'Side', towards: [1, 0, 0], up: [0, 0, 1] },
  corner: { name: 'Corner', towards: [0.612, -0.612, 0.5], up: [0, 0, 1] },
};

export const STANCE_ORDER: readonly Stance[] = ['plan', 'front', 'side', 'corner'];

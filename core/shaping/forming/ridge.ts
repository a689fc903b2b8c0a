import { type Kernel, prismOf, type TaggedSolid } from '@core/shaping/kernel';
import { effectOf, takesAway, type SettledStepOf } from '@core/record/model';
import { cornerLoop, type Point } from '@core/shaping/outline';
import { type Placement, faceTag } from '@core/shaping/part';
import { ownValue } from '@core/foundations/own';

import { uprightSection } from './upright';

/** A corner of a section, along its step and up from its place, and the part that the face after it plays. */
export interface Corner {
  at: Point;
  role: string;
}

/** What a prism calls its ends, and the curves named otherwise to tell them from those. */
const ROLES: Record<string, string> = { bottom: 'front', top: 'back', ground: 'bottom', end: 'top' };

/**
 * A section drawn out across its step, mm. The room for something goes into the part, as every cut does: down from its
 * place, or up from the ground.
 */
export function ridge(
  kernel: Kernel,
  step: SettledStepOf<'tongue' | 'bump'>,
  stand: Placement,
  corners: readonly Corner[],
  breadth: number,
): TaggedSolid {
  const up = takesAway(effectOf(step)) && !stand.up ? -1 : 1;
  const loop = cornerLoop(corners.map(({ at: [x, z], role }) => ({ at: [x, up * z], role })));
  const { plane, direction } = uprightSection(step.turn, stand, breadth);
  return prismOf(kernel, loop, plane, direction, (role) => faceTag(step.id, ownValue(ROLES, role) ?? role));
}

/** The section of the room for something. */
export const roomCorners = (x0: number, x1: number, z0: number, z1: number): Corner[] => [
  { at: [x0, z0], role: 'ground' },
  { at: [x1, z0], role: 'right' },
  { at: [x1, z1], role: 'end' },
  { at: [x0, z1], role: 'left' },
];

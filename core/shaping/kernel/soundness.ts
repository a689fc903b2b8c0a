import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import type { SolidMesh } from '@core/shaping/part';

import { checkSolid } from './check';
import { closedVolume } from './closedVolume';
import { meshOf } from './mesh';
import type { TaggedSolid } from './tagged';

/** Coarse: it is only looked at whether the surface closes round what it should. */
const LOOK_QUALITY = { gapMm: 0.1, angle: 0.4 };

/** How far the volume within the mesh may differ from the solid's, as a share: the mesh is coarse. */
const LIKE = 0.08;

/**
 * Whether the triangles of a solid close and hold its volume. The kernel takes some solids that run through themselves
 * for sound (kernel-notes); their triangles do not close, or hold another volume.
 */
export function isSoundMesh(mesh: SolidMesh, volumeMm3: number): boolean {
  const volume = closedVolume(mesh);
  return volume !== null && Math.abs(volume / volumeMm3 - 1) < LIKE;
}

/** A solid from a sweep or a blend, if it is sound. Takes over one that is refused. */
export function soundOrNot(made: TaggedSolid): Result<TaggedSolid, StepFault> {
  const { valid, closed, volumeMm3 } = checkSolid(made);
  if (valid && closed && isSoundMesh(meshOf(made, LOOK_QUALITY), volumeMm3)) return ok(made);
  made.dispose();
  return no({ code: 'step.notValid', reason: 'runsThroughItself' });
}

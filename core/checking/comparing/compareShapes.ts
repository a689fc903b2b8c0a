import { distanceTo } from '@core/shaping/boxTree';
import { boolean, checkSolid, meshOf, partsOf, scoped, type TaggedSolid } from '@core/shaping/kernel';
import type { Vec3 } from '@core/foundations/vectors';
import type { ShapeDifference, SolidMesh } from '@core/shaping/part';

import { drawPicture } from '@core/shaping/solid';

/** Of the meshes that distances are taken on: a twentieth of a tenth that anybody would look for. */
const QUALITY = { gapMm: 0.01, angle: 0.2 };
/** What is left between faces that are the same but for rounding, as a share of the whole and in mm³. */
const NOTHING = { share: 1e-7, mm3: 1e-4 };

/**
 * What differs between two shapes of a body: each less the other (B-rep), with its volume, drawn as the list draws parts, and where they are
 * furthest apart.
 *
 * @throws KernelRefusal when they can't be cut from each other.
 */
export function compareShapes(before: TaggedSolid, after: TaggedSolid): ShapeDifference {
  const whole = Math.max(checkSolid(before).volumeMm3, checkSolid(after).volumeMm3);
  const least = Math.max(NOTHING.mm3, NOTHING.share * whole);
  const added = less(after, before, least);
  const removed = less(before, after, least);
  const reach = (part: Left | null, other: TaggedSolid, was: 'added' | 'removed') =>
    part ? furthestFrom(meshOf(part.solid, QUALITY), meshOf(other, QUALITY), was) : null;
  const places = [reach(added, before, 'added'), reach(removed, after, 'removed')].filter(
    (one) => one !== null,
  );
  const difference: ShapeDifference = {
    addedMm3: added?.mm3 ?? 0,
    removedMm3: removed?.mm3 ?? 0,
    furthest: places.reduce<ShapeDifference['furthest']>(
      (most, one) => (most && most.mm >= one.mm ? most : one),
      null,
    ),
    before: drawPicture(before, 'before'),
    after: drawPicture(after, 'after'),
    added: added ? drawPicture(added.solid, 'added') : null,
    removed: removed ? drawPicture(removed.solid, 'removed') : null,
  };
  added?.solid.dispose();
  removed?.solid.dispose();
  return difference;
}

interface Left {
  solid: TaggedSolid;
  mm3: number;
}

/** What one has and the other has not; null for less than rounding leaves. */
function less(one: TaggedSolid, other: TaggedSolid, leastMm3: number): Left | null {
  const solid = boolean('cut', one, other);
  const isEmpty = scoped((scope) => partsOf(one.kernel, scope, solid.shape, 'TopAbs_SOLID').length === 0);
  const mm3 = isEmpty ? 0 : checkSolid(solid).volumeMm3;
  if (mm3 >= leastMm3) return { solid, mm3 };
  solid.dispose();
  return null;
}

function furthestFrom(mesh: SolidMesh, other: SolidMesh, was: 'added' | 'removed') {
  let most: { mm: number; at: Vec3; was: 'added' | 'removed' } | null = null;
  for (let index = 0; index < mesh.positions.length; index += 3) {
    const at: Vec3 = [mesh.positions[index]!, mesh.positions[index + 1]!, mesh.positions[index + 2]!];
    const mm = distanceTo(other, at);
    if (!most || mm > most.mm) most = { mm, at, was };
  }
  return most;
}

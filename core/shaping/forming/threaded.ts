import type { FaceTag } from '@core/shaping/part';
import { type Kernel, boolean, turnedLoop, type TaggedSolid } from '@core/shaping/kernel';
import { pointLoop } from '@core/shaping/outline';
import type { Ridge } from '@core/foundations/standards';

import { mouthDepth, threadBody, type ThreadRole } from './threadBody';
import type { ThreadEnd } from './threadFaces';

/** Where a threaded hole comes out: its height, mm, and the way out, up or down. */
export interface Mouth {
  z: number;
  way: 1 | -1;
}

/** So much of the pitch is left between two mouths, or they are cut one after the other. */
const LEFT_BETWEEN = 0.1;

/**
 * A threaded rod about the upright axis through (x, y), from height `z` over `length`, mm, right-handed. With a lead, its upper end is eased at 45° down to the core.
 * Mouths, of what is cut out, widen at 45° from the core to past the crest.
 */
export function threadedRod(
  kernel: Kernel,
  ridge: Ridge,
  pitch: number,
  at: { x: number; y: number; z: number; length: number; hasLead: boolean; mouths: readonly Mouth[] },
  nameFace: (role: ThreadRole) => FaceTag,
): TaggedSolid {
  const { x, y, z, length, hasLead, mouths } = at;
  const level = {
    low: { is: 'level', up: 0 },
    high: { is: hasLead ? 'eased' : 'level', up: length },
  } as const;
  const left =
    length -
    mouths.reduce(
      (sum, { z: mouth, way }) => sum + mouthDepth(ridge, pitch) + (way > 0 ? z + length - mouth : mouth - z),
      0,
    );
  const asOne = left > LEFT_BETWEEN * pitch;
  const endAt = (way: 1 | -1): ThreadEnd => {
    const usual = way > 0 ? level.high : level.low;
    const mouth = asOne ? mouths.find((one) => one.way === way) : undefined;
    return mouth ? { is: 'mouth', up: usual.up, mouth: mouth.z - z } : usual;
  };
  const whole = threadBody(kernel, ridge, pitch, { x, y, z, low: endAt(-1), high: endAt(1) }, nameFace);
  return asOne
    ? whole
    : mouths.reduce(
        (rod, mouth) => flared(rod, flareAt(kernel, ridge, pitch, at, mouth, nameFace('lead'))),
        whole,
      );
}

function flared(rod: TaggedSolid, flare: TaggedSolid): TaggedSolid {
  const made = boolean('fuse', rod, flare);
  rod.dispose();
  flare.dispose();
  return made;
}

/** What opens the end of a threaded hole: a cone from the core out to past the crest, and on from there to the end of the rod. */
function flareAt(
  kernel: Kernel,
  ridge: Ridge,
  pitch: number,
  { x, y, z, length }: { x: number; y: number; z: number; length: number },
  { z: end, way }: Mouth,
  tag: FaceTag,
): TaggedSolid {
  const wide = ridge.coreRadius + mouthDepth(ridge, pitch);
  const narrow = 0.8 * ridge.coreRadius;
  const beyond = way > 0 ? z + length : z;
  const corners = [
    [0, beyond],
    [0, end - way * (wide - narrow)],
    [narrow, end - way * (wide - narrow)],
    [wide, end],
    [wide, beyond],
  ] as const;
  return turnedLoop(kernel, pointLoop(corners, 'lead'), [x, y], () => tag);
}

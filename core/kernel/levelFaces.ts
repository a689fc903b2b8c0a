import { areaOfFlat } from './faceArea';
import type { Kernel, Shape } from './kernel';
import { planeOf } from './planeOf';
import { scoped } from './scope';
import { standingOf } from './standing';
import { partsOf } from './topology';

/**
 * Volume of a solid whose faces are level or stand upright, and that has smooth edges: of each level face its height times its area, by
 * the divergence of (0, 0, z); the area round its edges by Green's theorem. Null for any other solid. The kernel's own integration
 * is off by some thousandths where a level face is bounded by a smooth line through few points (kernel-notes).
 */
export function volumeOfLevels(kernel: Kernel, shape: Shape): number | null {
  return scoped((scope) => {
    const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE');
    const kinds: ReturnType<typeof standingOf>[] = [];
    for (const face of faces) {
      const kind = standingOf(kernel, scope, face);
      // Most parts have one that leans or is bent.
      if (kind === 'other') return null;
      kinds.push(kind);
    }
    if (!kinds.includes('smooth')) return null;
    let volume = 0;
    for (const [index, face] of faces.entries()) {
      if (kinds[index] !== 'level') continue;
      const { at, normal } = planeOf(kernel, face)!;
      volume += at[2] * Math.sign(normal[2]) * areaOfFlat(kernel, face, normal);
    }
    return volume;
  });
}

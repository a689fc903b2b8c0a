import { FewFaces } from './fewFaces';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

type Plane = InstanceType<Kernel['gp_Pln']>;

/** Largest relative error that the rule of Gauss and Kronrod aims at, of each face. */
const TO = 1e-8;

/** What took longer than this is kept: most faces take a tenth of it, those bent freely up to two hundred times as much. */
const WORTH_KEEPING_MS = 1;

/** Long ones of the parts that were looked at last. */
const KEPT = new WeakMap<Kernel, FewFaces<number>>();

/**
 * Volume of a closed shape, mm³: the sum over its faces of what lies between each and the plane z = 0, the flux of (0, 0, z) through
 * it (Gauss). Each by the rule of Gauss and Kronrod (Piessens et al., QUADPACK, 1983): upright faces have none whatever their form,
 * and what is plain is quicker than by the kernel's own integration, which is off by up to 0.3 % at smooth lines, and by its adaptive
 * one by up to 8 % (kernel-notes). Of a disc 20 high over a circle of 10: 0 below, 0 round it, 20 · 25 π above.
 */
export function volumeWithin(kernel: Kernel, shape: Shape): number {
  let kept = KEPT.get(kernel);
  if (!kept) KEPT.set(kernel, (kept = new FewFaces(kernel)));
  return scoped((scope) => {
    const ground = scope.keep(new kernel.gp_Pln(0, 0, 1, 0));
    let sum = 0;
    for (const face of partsOf(kernel, scope, shape, 'TopAbs_FACE')) {
      // Seen from its other side, it takes away what it would add.
      const way = face.Orientation() === 'TopAbs_REVERSED' ? -1 : 1;
      let mm3 = kept.get(face);
      if (mm3 === undefined) {
        const began = performance.now();
        const own = aboveGround(kernel, scope, face, ground);
        if (own === null) return byPlainIntegration(kernel, scope, shape);
        mm3 = way * own;
        if (performance.now() - began > WORTH_KEEPING_MS) kept.keep(scope.release(face), mm3);
      }
      sum += way * mm3;
    }
    return sum;
  });
}

/** What lies between a face and the ground, mm³; null where the rule fails. */
function aboveGround(kernel: Kernel, scope: Scope, face: Shape, ground: Plane): number | null {
  const made = scope.keep(new kernel.GProp_GProps());
  // Without centre and moments, which would take up to a thousand times as long.
  const error = kernel.BRepGProp.VolumePropertiesGK(face, made, ground, TO, false, true, false, false, false);
  return error < 0 ? null : made.Mass();
}

/** Of a whole shape: what lies between each face and the origin. */
function byPlainIntegration(kernel: Kernel, scope: Scope, shape: Shape): number {
  const made = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.VolumeProperties(shape, made, false, false, false);
  return made.Mass();
}

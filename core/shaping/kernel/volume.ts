import { FewFaces } from './fewFaces';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { facesOf } from './topology';

type Plane = InstanceType<Kernel['gp_Pln']>;

/** Largest relative error that the rule of Gauss and Kronrod aims at, of each face. */
const TO = 1e-8;

/** Of the faces of the parts that were looked at last. */
const KEPT = new WeakMap<Kernel, FewFaces<number | null>>();

/**
 * Volume of a closed shape, mm³: the sum over its faces of what lies between each and the plane z = 0, the flux of (0, 0, z) through
 * it (Gauss). Each by the rule of Gauss and Kronrod (Piessens et al., QUADPACK, 1983): upright faces have none whatever their form,
 * and what is plain is quicker than by the kernel's own integration, which is off by up to 0.3 % at smooth lines, and by its adaptive
 * one by up to 8 % (kernel-notes). Of a disc 20 high over a circle of 10: 0 below, 0 round it, 20 · 25 π above.
 * @param facesAtHand all faces of the shape, if they are known already.
 */
export function volumeWithin(kernel: Kernel, shape: Shape, facesAtHand?: readonly Shape[]): number {
  let kept = KEPT.get(kernel);
  if (!kept) KEPT.set(kernel, (kept = new FewFaces(kernel, (face) => facingUp(kernel, face))));
  return scoped((scope) => {
    const faces = facesAtHand ?? facesOf(kernel, scope, shape);
    let sum = 0;
    for (const [index, mm3] of kept.of(faces).entries()) {
      if (mm3 === null) return byPlainIntegration(kernel, scope, shape);
      sum += wayOf(faces[index]!) * mm3;
    }
    return sum;
  });
}

/** Seen from its other side, a face takes away what it would add. */
const wayOf = (face: Shape): 1 | -1 => (face.Orientation() === 'TopAbs_REVERSED' ? -1 : 1);

/** What lies between a face and the ground as it is seen from its front; null where the rule fails. */
const facingUp = (kernel: Kernel, face: Shape): number | null =>
  scoped((scope) => {
    const ground = scope.keep(new kernel.gp_Pln(0, 0, 1, 0));
    const own = aboveGround(kernel, scope, face, ground);
    return own === null ? null : wayOf(face) * own;
  });

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

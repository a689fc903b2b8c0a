import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';
import { partsOf } from './topology';

type Properties = InstanceType<Kernel['GProp_GProps']>;

/** Largest relative error that the kernel's adaptive integration aims at, each face by itself. */
const ADAPTIVE_TO = 1e-6;

/** Surfaces on which the kernel's plain integration is right to rounding, or to 2e-6 on the flanks of gears. */
const PLAIN: ReadonlySet<unknown> = new Set([
  'GeomAbs_Plane',
  'GeomAbs_Cylinder',
  'GeomAbs_Cone',
  'GeomAbs_Sphere',
  'GeomAbs_Torus',
  'GeomAbs_SurfaceOfExtrusion',
  'GeomAbs_SurfaceOfRevolution',
]);

/** Where both ways differ by less than this, as a share, the plain one is the better. */
const AGREE = 1e-5;

/**
 * Volume, centre and moments of a closed shape. Between sections the kernel's plain integration may be off by a thousandth (an oval cup by
 * 0.09 %), its adaptive one by some 1e-6; on gears, and where both agree, it is the other way round (kernel-notes).
 */
export function volumeProperties(kernel: Kernel, scope: Scope, shape: Shape): Properties {
  const plain = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.VolumeProperties(shape, plain, false, false, false);
  const isPlain = partsOf(kernel, scope, shape, 'TopAbs_FACE').every((face) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false));
    return PLAIN.has(surface.GetType());
  });
  if (isPlain) return plain;
  const adaptive = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.VolumeProperties(shape, adaptive, ADAPTIVE_TO, false, false);
  return Math.abs(adaptive.Mass() - plain.Mass()) < AGREE * Math.abs(adaptive.Mass()) ? plain : adaptive;
}

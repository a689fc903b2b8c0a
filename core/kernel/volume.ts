import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

type Properties = InstanceType<Kernel['GProp_GProps']>;

/** Largest relative error that the rule of Gauss and Kronrod aims at. */
const KRONROD_TO = 1e-6;

/** Largest relative error that the kernel's adaptive integration aims at, each face by itself. */
const ADAPTIVE_TO = 1e-6;

/** Surfaces on which the kernel's plain integration is right to rounding. */
const PLAIN: ReadonlySet<unknown> = new Set([
  'GeomAbs_Plane',
  'GeomAbs_Cylinder',
  'GeomAbs_Cone',
  'GeomAbs_Sphere',
  'GeomAbs_Torus',
]);
/** Surfaces on which it is so up to some 1e-5 where they are short, as flanks are. */
const EXTRUDED: ReadonlySet<unknown> = new Set(['GeomAbs_SurfaceOfExtrusion', 'GeomAbs_SurfaceOfRevolution']);

/** Flanks of gears are extruded: short, right by plain integration, and each 10 ms by Gauss and Kronrod's rule. */
const MOST_EXTRUDED = 16;
/** With more faces that are bent freely, it is a long thread, which would take seconds. */
const MOST_FREE = 150;

/** Where both of the kernel's other ways differ by less than this, as a share, the plain one is the better. */
const AGREE = 1e-5;

/**
 * Volume of a closed shape, mm³. With faces that are bent freely, or bounded by lines that are, it goes by the rule of Gauss and
 * Kronrod (Piessens et al., QUADPACK, 1983), right to some 1e-6; there the kernel's plain integration is off by up to 0.3 % and its
 * adaptive one by up to 8 % (kernel-notes).
 */
export function volumeWithin(kernel: Kernel, shape: Shape): number {
  return scoped((scope) => {
    const { extruded, free } = bentFaces(kernel, shape);
    const isQuick = extruded <= MOST_EXTRUDED && free <= MOST_FREE;
    if (!isQuick || extruded + free === 0) return integrated(kernel, scope, shape).Mass();
    const made = scope.keep(new kernel.GProp_GProps());
    // Without centre and moments, which would take it up to a thousand times as long.
    kernel.BRepGProp.VolumePropertiesGK(shape, made, KRONROD_TO, false, true, false, false, false);
    return made.Mass();
  });
}

/** Volume, centre and moments by the kernel's plain integration, or by its adaptive one where that is the better. */
export function integrated(kernel: Kernel, scope: Scope, shape: Shape): Properties {
  const plain = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.VolumeProperties(shape, plain, false, false, false);
  if (bentFaces(kernel, shape).free === 0) return plain;
  const adaptive = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.VolumeProperties(shape, adaptive, ADAPTIVE_TO, false, false);
  return Math.abs(adaptive.Mass() - plain.Mass()) < AGREE * Math.abs(adaptive.Mass()) ? plain : adaptive;
}

/** Faces whose surface is drawn along a line that is bent freely, and those that are bent freely themselves. */
function bentFaces(kernel: Kernel, shape: Shape): { extruded: number; free: number } {
  return scoped((scope) => {
    const kinds = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face): unknown =>
      scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false)).GetType(),
    );
    const extruded = kinds.filter((kind) => EXTRUDED.has(kind)).length;
    return { extruded, free: kinds.filter((kind) => !PLAIN.has(kind)).length - extruded };
  });
}

/** Whether a solid is bounded by smooth lines that were drawn, other than the flanks of gears. */
export function isBoundFreely(kernel: Kernel, shape: Shape): boolean {
  const { extruded } = bentFaces(kernel, shape);
  return extruded > 0 && extruded <= MOST_EXTRUDED;
}

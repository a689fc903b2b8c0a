import { KernelRefusal, type Origins } from '@core/shaping/part';
import {
  checkSolid,
  guarded,
  type Kernel,
  type Shape,
  unwrapped,
  scoped,
  type Scope,
  tagFresh,
  type TaggedSolid,
  listed,
  partsOf,
  ShapeMap,
} from '@core/shaping/kernel';

/** Gap below which the kernel takes faces for one, mm (kernel-notes). */
const TOLERANCE_MM = 1e-4;

/** How the kernel is asked: whether all parallels are cut with all others, what closes the gaps, and by how much more. */
export interface OffsetWay {
  complete: boolean;
  join: 'GeomAbs_Intersection' | 'GeomAbs_Arc';
  /** mm, in the way that the faces go. */
  more: number;
}

/**
 * A round that is moved by just its radius has none left, which the kernel can't hold: a hair more, and it is gone. mm;
 * less is within the tolerance that walls are made with.
 */
const HAIR_MM = 3e-3;

/** With more faces than this, cutting all sharp parallels with all others takes longer than anybody waits. */
const MOST_FACES = 24;

/**
 * Ways to move all faces of a solid, the best first. Where a round is tighter than they are moved it vanishes, which only
 * the complete way sees: the quick one then gives a solid that is wrong and called sound (kernel-notes).
 *
 * @param sharp whether gaps between faces are closed by a sharp edge rather than by a round one.
 */
export function offsetWays(kernel: Kernel, shape: Shape, mm: number, sharp: boolean): OffsetWay[] {
  const { isTight, isBent, faces } = scoped((scope) => ({
    isTight: vanishingRounds(kernel, scope, shape, mm).length > 0,
    isBent: hasBentFace(kernel, scope, shape),
    faces: partsOf(kernel, scope, shape, 'TopAbs_FACE').length,
  }));
  const round = { complete: true, join: 'GeomAbs_Arc' } as const;
  const both = [{ complete: true, join: 'GeomAbs_Intersection' } as const, round];
  const joins = faces > MOST_FACES ? [round] : sharp ? both : both.reverse();
  const complete = [0, HAIR_MM].flatMap((more) => joins.map((join): OffsetWay => ({ ...join, more })));
  if (isTight) return complete;
  const quick = { complete: false, join: 'GeomAbs_Intersection', more: 0 } as const;
  // Between outlines it takes the kernel up to half a minute to close sharp gaps, where round ones take it a second.
  return isBent && !sharp ? [...complete, quick] : [quick, ...complete];
}

/** Whether a solid has faces that are no plane, cylinder, cone, sphere or ring: those between outlines. */
export const hasBentFace = (kernel: Kernel, scope: Scope, shape: Shape): boolean =>
  partsOf(kernel, scope, shape, 'TopAbs_FACE').some((face) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false));
    const kind: unknown = surface.GetType();
    return kind === 'GeomAbs_BSplineSurface' || kind === 'GeomAbs_BezierSurface';
  });

/** Round faces that have no radius left when all faces move by a length: bulges moved in, hollows moved out. */
export function vanishingRounds(kernel: Kernel, scope: Scope, shape: Shape, mm: number): Shape[] {
  return partsOf(kernel, scope, shape, 'TopAbs_FACE').filter((face) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    const isReversed = face.Orientation() === 'TopAbs_REVERSED';
    const kind = surface.GetType();
    if (kind === 'GeomAbs_Cylinder') {
      const cylinder = scope.keep(surface.Cylinder());
      const isHollow = isReversed === scope.keep(cylinder.Position()).Direct();
      return isHollow === mm > 0 && cylinder.Radius() <= Math.abs(mm) + TOLERANCE_MM;
    }
    if (kind !== 'GeomAbs_Sphere' && kind !== 'GeomAbs_Torus') return false;
    // Along its second parameter both go round with the radius that bends: of a torus the lesser one.
    const [u, v] = [surface.FirstUParameter(), surface.FirstVParameter()];
    const radius = scope.keep(surface.EvalDN(u, v, 0, 1)).Magnitude();
    return isReversed === mm > 0 && radius <= Math.abs(mm) + TOLERANCE_MM;
  });
}

/**
 * A solid whose faces have all moved out by a length (in, if negative), its edges kept sharp where that can be done. The
 * solid stays whole.
 *
 * @param sharp if not, hollow edges may become round: an even wall needs no others.
 * @throws KernelRefusal where no way gives a sound solid that is larger, or smaller, as it must be.
 */
export function grown(solid: TaggedSolid, mm: number, sharp = true): TaggedSolid {
  const { kernel } = solid;
  const before = checkSolid(solid).volumeMm3;
  for (const way of offsetWays(kernel, solid.shape, mm, sharp)) {
    const made = attempt(solid, mm, way);
    if (!made) continue;
    const { valid, closed, pieces, volumeMm3 } = checkSolid(made);
    if (pieces > 0 && valid && closed && volumeMm3 > 0 && volumeMm3 > before === mm > 0) return made;
    made.dispose();
  }
  throw new KernelRefusal('the faces can’t be moved that far');
}

function attempt(solid: TaggedSolid, mm: number, way: OffsetWay): TaggedSolid | null {
  try {
    return guarded(solid.kernel, () => scoped((scope) => offset(scope, solid, mm, way)));
  } catch (error) {
    if (error instanceof KernelRefusal) return null;
    throw error;
  }
}

/** Null where it fails, or keeps a round that must have vanished: turned inside out, and called sound. */
function offset(
  scope: Scope,
  solid: TaggedSolid,
  mm: number,
  { complete, join, more }: OffsetWay,
): TaggedSolid | null {
  const { kernel } = solid;
  const maker = scope.keep(new kernel.BRepOffsetAPI_MakeOffsetShape());
  maker.PerformByJoin(
    solid.shape,
    mm + Math.sign(mm) * more,
    TOLERANCE_MM,
    'BRepOffset_Skin',
    complete,
    false,
    join,
    complete,
    scope.keep(new kernel.Message_ProgressRange()),
  );
  if (!maker.IsDone()) return null;
  const names = new ShapeMap<Origins>(kernel);
  for (const [face, origins] of solid.originMap().entries()) {
    for (const next of imagesOf(scope, maker, face)) names.set(next, origins);
  }
  const shape = unwrapped(kernel, maker.Shape());
  if (keepsAny(kernel, scope, shape, maker, vanishingRounds(kernel, scope, solid.shape, mm))) {
    shape.delete();
    return null;
  }
  return tagFresh(kernel, shape, (face) => names.get(face) ?? solid.tagList()[0]!);
}

type Maker = Pick<InstanceType<Kernel['BRepOffsetAPI_MakeOffsetShape']>, 'Generated' | 'Modified'>;

const imagesOf = (scope: Scope, maker: Maker, face: Shape): Shape[] => [
  ...listed(scope, maker.Generated(face)),
  ...listed(scope, maker.Modified(face)),
];

/** Whether an image of one of some faces is left in what was made. */
export function keepsAny(
  kernel: Kernel,
  scope: Scope,
  made: Shape,
  maker: Maker,
  faces: readonly Shape[],
): boolean {
  const images = faces
    .flatMap((face) => imagesOf(scope, maker, face))
    .filter((one) => !faces.some((face) => face.IsSame(one)));
  return partsOf(kernel, scope, made, 'TopAbs_FACE').some((face) =>
    images.some((image) => image.IsSame(face)),
  );
}

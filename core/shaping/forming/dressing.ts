import { KernelRefusal, type FaceTag } from '@core/shaping/part';
import {
  checkSolid,
  everyEdgeHasTwoFaces,
  guarded,
  type Shape,
  closestPoints,
  dressEdges,
  scoped,
  type Scope,
  edgesBetween,
  type TaggedSolid,
  facesByEdge,
  partsOf,
} from '@core/shaping/kernel';

/** A round or an ease: how large, mm, and for an ease its length on the other face if that is another. */
export interface Dressing {
  kind: 'fillet' | 'chamfer';
  mm: number;
  otherMm: number | null;
  /** For the faces that it makes. */
  tag: FaceTag;
}

/** Rounds or eases edges all at once. @throws KernelRefusal where there is no room. */
export function dressed(
  solid: TaggedSolid,
  edges: readonly Shape[],
  { kind, mm, otherMm, tag }: Dressing,
): TaggedSolid {
  const { kernel } = solid;
  return scoped((scope) => {
    if (otherMm === null) return guarded(kernel, () => dressEdges(kind, solid, edges, mm, tag));
    const faces = facesByEdge(kernel, scope, solid.shape);
    const tags = solid.tagMap();
    // The first face is the one whose origin comes first by name: the same after every rebuild.
    const firstFaceOf = (edge: Shape): Shape =>
      [...faces.get(edge)!].sort((a, b) => ((tags.get(a) ?? '') < (tags.get(b) ?? '') ? -1 : 1))[0]!;
    return guarded(kernel, () => dressEdges(kind, solid, edges, mm, tag, { otherMm, firstFaceOf }));
  });
}

/** As `dressed`, and null where that fails, or what comes out is not sound. */
function soundly(solid: TaggedSolid, edges: readonly Shape[], dressing: Dressing): TaggedSolid | null {
  try {
    const made = dressed(solid, edges, dressing);
    const { valid, closed, volumeMm3 } = checkSolid(made);
    if (valid && closed && volumeMm3 > 0 && everyEdgeHasTwoFaces(solid.kernel, made.shape)) return made;
    made.dispose();
    return null;
  } catch (error) {
    if (error instanceof KernelRefusal) return null;
    throw error;
  }
}

/** An edge by what lives on when others are dressed: the faces that meet there, and a shape where it was. */
interface Known {
  tags: readonly [FaceTag, FaceTag];
  shape: Shape;
}

/** Further from where it was than this, an edge is another one, mm. */
const SAME_MM = 0.05;

/** Where there is no room: the faces that meet at the edge; and about how much goes everywhere, mm, if that is known. */
export interface NoRoom {
  stuckAt: readonly [FaceTag, FaceTag];
  mostMm: number | null;
}

/**
 * What is done where edges can't be dressed all at once. One after the other, in the order given and then the other way
 * round: one that has been done makes room, or another form, for the next; those that it took along are left out. Where
 * that fails too, it is found out how much would go.
 */
export function dressedInTurn(
  solid: TaggedSolid,
  edges: readonly Shape[],
  dressing: Dressing,
): TaggedSolid | NoRoom {
  return scoped((scope) => {
    const faces = facesByEdge(solid.kernel, scope, solid.shape);
    const tags = solid.tagMap();
    const known = edges.map((shape): Known => {
      const [first, second] = faces.get(shape)!;
      return { shape, tags: [tags.get(first!) ?? '', tags.get(second ?? first!) ?? ''] };
    });
    if (!edges.every((edge) => isPlain(scope, solid, edge))) return { stuckAt: known[0]!.tags, mostMm: null };
    const forward = inOrder(solid, known, dressing);
    if (!('stuckAt' in forward)) return forward;
    const backward = inOrder(solid, [...known].reverse(), dressing);
    if (!('stuckAt' in backward)) return backward;
    return { ...forward, mostMm: mostThatGoes(solid, edges, dressing) };
  });
}

/**
 * Whether an edge is straight or round. On others the kernel does not only refuse: asked again and again it may break
 * down, and then all of it is lost.
 */
function isPlain(scope: Scope, { kernel }: TaggedSolid, edge: Shape): boolean {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  return ['GeomAbs_Line', 'GeomAbs_Circle'].includes(curve.GetType());
}

function inOrder(
  solid: TaggedSolid,
  order: readonly Known[],
  dressing: Dressing,
): TaggedSolid | Pick<NoRoom, 'stuckAt'> {
  let now = solid;
  for (const one of order) {
    const next = scoped((scope) => {
      const edge = foundAgain(scope, now, one);
      return edge ? soundly(now, [edge], dressing) : 'gone';
    });
    if (next === 'gone') continue;
    if (now !== solid) now.dispose();
    if (!next) return { stuckAt: one.tags };
    now = next;
  }
  return now === solid ? { stuckAt: order[0]!.tags } : now;
}

/** What is left of an edge; null if nothing is. */
function foundAgain(scope: Scope, solid: TaggedSolid, { tags: [a, b], shape }: Known): Shape | null {
  const { kernel } = solid;
  const candidates = edgesBetween(scope, solid, a, b);
  const [middle] = partsOf(kernel, scope, shape, 'TopAbs_EDGE').map((edge) => {
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
    const point = scope.keep(curve.Value((curve.FirstParameter() + curve.LastParameter()) / 2));
    return scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeVertex(point)).Vertex());
  });
  return (
    candidates.find((edge) => (closestPoints(kernel, scope, middle!, edge)?.mm ?? Infinity) < SAME_MM) ?? null
  );
}

/** How often the largest size that goes is narrowed down. */
const NARROWINGS = 6;

/** About the largest size by which all edges can be dressed at once, mm, rounded down to a tenth; null if none goes. */
function mostThatGoes(solid: TaggedSolid, edges: readonly Shape[], dressing: Dressing): number | null {
  const share = dressing.otherMm === null ? null : dressing.otherMm / dressing.mm;
  const goes = (mm: number) => {
    const made = soundly(solid, edges, { ...dressing, mm, otherMm: share === null ? null : share * mm });
    made?.dispose();
    return made !== null;
  };
  let [low, high] = [0, dressing.mm];
  for (let index = 0; index < NARROWINGS; index += 1) {
    const middle = (low + high) / 2;
    if (goes(middle)) low = middle;
    else high = middle;
  }
  const tenth = Math.floor(10 * low) / 10;
  return tenth > 0 ? tenth : null;
}

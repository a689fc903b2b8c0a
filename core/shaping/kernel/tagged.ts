import { type FaceTag, type Origins, renamed } from '@core/shaping/part';

import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { facesByEdge, hashOf, listed, partsOf, ShapeMap } from './topology';

/** A face is kept by its own handle, so that it lives as long as its tags. */
interface TaggedFace {
  face: Shape;
  origins: Origins;
}

/** A solid whose faces know their origin. Owns its kernel objects: `dispose` when it is done with. */
export class TaggedSolid {
  constructor(
    readonly kernel: Kernel,
    readonly shape: Shape,
    private readonly faces: readonly TaggedFace[],
  ) {}

  /** The tag that each face goes by, for one piece of work. */
  tagMap(): ShapeMap<FaceTag> {
    const map = new ShapeMap<FaceTag>(this.kernel);
    for (const { face, origins } of this.faces) map.set(face, origins[0]);
    return map;
  }

  /** All origins of each face, for one piece of work. */
  originMap(): ShapeMap<Origins> {
    const map = new ShapeMap<Origins>(this.kernel);
    for (const { face, origins } of this.faces) map.set(face, origins);
    return map;
  }

  /** Its faces that come from a tag: several where something was cut in two. They belong to it. */
  facesTagged(tag: FaceTag): Shape[] {
    return this.faces.filter(({ origins }) => origins.includes(tag)).map(({ face }) => face);
  }

  /** All of its faces, in the kernel's order. They belong to it. */
  faceList(): Shape[] {
    return this.faces.map(({ face }) => face);
  }

  /** The tag that each face goes by. */
  tagList(): FaceTag[] {
    return this.faces.map(({ origins }) => origins[0]);
  }

  /** Whatever its faces come from. */
  allTags(): Set<FaceTag> {
    return new Set(this.faces.flatMap(({ origins }) => origins));
  }

  /** Tags by the hash that the mesher puts on its face groups. */
  tagsByHash(): Map<number, FaceTag> {
    return new Map(this.faces.map(({ face, origins }) => [hashOf(this.kernel, face), origins[0]]));
  }

  /** Itself, with its faces named otherwise. To be used in place of the one it was asked of. */
  retagged(retag: (tag: FaceTag) => FaceTag): TaggedSolid {
    return new TaggedSolid(
      this.kernel,
      this.shape,
      this.faces.map(({ face, origins }) => ({ face, origins: renamed(origins, retag) })),
    );
  }

  /** Another hold on the same solid, to be disposed of by itself. */
  copied(): TaggedSolid {
    const { kernel } = this;
    return scoped((scope) => {
      const origins = this.originMap();
      // The kernel shares what is behind a handle; no location, so that faces stay the same ones.
      const shape = this.shape.Located(scope.keep(this.shape.Location()), false);
      const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => ({
        face: scope.release(face),
        origins: origins.get(face)!,
      }));
      return new TaggedSolid(kernel, shape, faces);
    });
  }

  dispose(): void {
    for (const { face } of this.faces) face.delete();
    this.shape.delete();
  }
}

/** Names every face of a fresh shape. */
export function tagFresh(
  kernel: Kernel,
  shape: Shape,
  nameFace: (face: Shape) => FaceTag | Origins,
): TaggedSolid {
  return scoped((scope) => {
    const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => {
      const name = nameFace(face);
      return { face: scope.release(face), origins: typeof name === 'string' ? ([name] as const) : name };
    });
    return new TaggedSolid(kernel, shape, faces);
  });
}

/** The history part of a kernel operation. */
export interface History {
  Modified(shape: Shape): Parameters<typeof listed>[1];
  IsDeleted(shape: Shape): boolean;
}

/**
 * Carries tags from the inputs of an operation to its result by the kernel's history: modified faces keep their
 * tags, untouched ones are themselves, and what became one face has the tags of all, that of the last input first.
 *
 * @param fresh names faces that have no parent face: the rounds and eases of a step that makes such faces.
 * @throws if a face of the result has no origin and none is expected: picks could not be trusted after that.
 */
export function carryTags(
  inputs: readonly TaggedSolid[],
  result: Shape,
  history: History,
  fresh?: FaceTag,
): TaggedSolid {
  const kernel = inputs[0]!.kernel;
  return scoped((scope) => {
    const found = new ShapeMap<Origins>(kernel);
    const add = (face: Shape, origins: Origins) =>
      found.update(face, (before) =>
        before ? ([...new Set([...origins, ...before])] as unknown as Origins) : origins,
      );
    for (const input of inputs) {
      for (const [face, origins] of input.originMap().entries()) {
        const modified = listed(scope, history.Modified(face));
        for (const next of modified) add(next, origins);
        if (modified.length === 0 && !history.IsDeleted(face)) add(face, origins);
      }
    }
    const faces = partsOf(kernel, scope, result, 'TopAbs_FACE').map((face) => {
      const origins: Origins | undefined = found.get(face) ?? (fresh === undefined ? undefined : [fresh]);
      if (origins === undefined) throw new Error('a face of the result has no origin');
      return { face: scope.release(face), origins };
    });
    return new TaggedSolid(kernel, result, faces);
  });
}

/** An edge, and what the two faces come from that meet there. */
export interface Meeting {
  edge: Shape;
  origins: Origins;
  others: Origins;
}

/** Every edge at which two faces meet. The caller's scope owns them. */
export function meetings(scope: Scope, solid: TaggedSolid): Meeting[] {
  const all = solid.originMap();
  const found: Meeting[] = [];
  for (const [edge, [first, second]] of facesByEdge(solid.kernel, scope, solid.shape).entries()) {
    if (!first || !second || first.IsSame(second)) continue;
    const [origins, others] = [all.get(first), all.get(second)];
    if (origins && others) found.push({ edge, origins, others });
  }
  return found;
}

/** Edges where two faces meet whose origins are wanted, either way round. The caller's scope owns them. */
export const edgesWhere = (
  scope: Scope,
  solid: TaggedSolid,
  wanted: (origins: Origins, others: Origins) => boolean,
): Shape[] => edgesOf(meetings(scope, solid), wanted);

/** As edgesWhere, between a face of one tag and a face of another. */
export const edgesBetween = (scope: Scope, solid: TaggedSolid, one: FaceTag, other: FaceTag): Shape[] =>
  edgesAmong(meetings(scope, solid), one, other);

/** Of edges that are at hand, those between a face of one tag and a face of another, either way round. */
export const edgesAmong = (all: readonly Meeting[], one: FaceTag, other: FaceTag): Shape[] =>
  edgesOf(all, (origins, others) => origins.includes(one) && others.includes(other));

const edgesOf = (all: readonly Meeting[], wanted: (origins: Origins, others: Origins) => boolean): Shape[] =>
  all
    .filter(({ origins, others }) => wanted(origins, others) || wanted(others, origins))
    .map(({ edge }) => edge);

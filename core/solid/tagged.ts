import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { facesByEdge, hashOf, listed, partsOf, ShapeMap } from './topology';

/**
 * Where a face comes from: the step that made it and the part it plays there, as `stepId:role`. Tags are what
 * picks are stored as, since the kernel's own order of faces changes with every operation.
 */
export type FaceTag = string;

export const faceTag = (stepId: string, role: string): FaceTag => `${stepId}:${role}`;
/** The part a face plays in its step. */
export const roleOf = (tag: FaceTag): string => tag.slice(tag.lastIndexOf(':') + 1);
/** The part a face plays on the copy of that number, the step's own being 1. */
export const copyRole = (role: string, copy: number): string => `${role}~${copy}`;
/** The part a face plays, whichever copy it is on. */
export const anyCopy = (role: string): string => role.replace(/~\d+$/, '');
export const stepOfTag = (tag: FaceTag): string => tag.slice(0, tag.lastIndexOf(':'));

/** A face is kept by its own handle, so that it lives as long as the tag. */
interface TaggedFace {
  face: Shape;
  tag: FaceTag;
}

/** A solid whose faces know their origin. Owns its kernel objects: `dispose` when it is done with. */
export class TaggedSolid {
  constructor(
    readonly kernel: Kernel,
    readonly shape: Shape,
    private readonly faces: readonly TaggedFace[],
  ) {}

  /** Tags by face, for one piece of work. */
  tagMap(): ShapeMap<FaceTag> {
    const map = new ShapeMap<FaceTag>(this.kernel);
    for (const { face, tag } of this.faces) map.set(face, tag);
    return map;
  }

  /** Its faces of a tag: several where something was cut in two. They belong to it. */
  facesTagged(tag: FaceTag): Shape[] {
    return this.faces.filter((face) => face.tag === tag).map(({ face }) => face);
  }

  tagList(): FaceTag[] {
    return this.faces.map(({ tag }) => tag);
  }

  /** Tags by the hash that the mesher puts on its face groups. */
  tagsByHash(): Map<number, FaceTag> {
    return new Map(this.faces.map(({ face, tag }) => [hashOf(this.kernel, face), tag]));
  }

  /** Itself, with its faces named otherwise. To be used in place of the one it was asked of. */
  retagged(retag: (tag: FaceTag) => FaceTag): TaggedSolid {
    return new TaggedSolid(
      this.kernel,
      this.shape,
      this.faces.map(({ face, tag }) => ({ face, tag: retag(tag) })),
    );
  }

  /** Another hold on the same solid, to be disposed of by itself. */
  copied(): TaggedSolid {
    const { kernel } = this;
    return scoped((scope) => {
      const tags = this.tagMap();
      // The kernel shares what is behind a handle; no location, so that faces stay the same ones.
      const shape = this.shape.Located(scope.keep(this.shape.Location()), false);
      const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => ({
        face: scope.release(face),
        tag: tags.get(face)!,
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
export function tagFresh(kernel: Kernel, shape: Shape, nameFace: (face: Shape) => FaceTag): TaggedSolid {
  return scoped((scope) => {
    const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => ({
      face: scope.release(face),
      tag: nameFace(face),
    }));
    return new TaggedSolid(kernel, shape, faces);
  });
}

/** The history part of a kernel operation. */
export interface History {
  Modified(shape: Shape): Parameters<typeof listed>[1];
  IsDeleted(shape: Shape): boolean;
}

/**
 * Carries tags from the inputs of an operation to its result by the kernel's history: modified faces keep the
 * tag, untouched ones are themselves.
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
    const origin = new ShapeMap<FaceTag>(kernel);
    for (const input of inputs) {
      for (const [face, tag] of input.tagMap().entries()) {
        const modified = listed(scope, history.Modified(face));
        for (const next of modified) origin.set(next, tag);
        if (modified.length === 0 && !history.IsDeleted(face)) origin.set(face, tag);
      }
    }
    const faces = partsOf(kernel, scope, result, 'TopAbs_FACE').map((face) => {
      const tag = origin.get(face) ?? fresh;
      if (tag === undefined) throw new Error('a face of the result has no origin');
      return { face: scope.release(face), tag };
    });
    return new TaggedSolid(kernel, result, faces);
  });
}

/** Edges where two faces meet whose tags are wanted. The caller's scope owns them. */
export function edgesWhere(
  scope: Scope,
  solid: TaggedSolid,
  wanted: (tag: FaceTag, otherTag: FaceTag) => boolean,
): Shape[] {
  const tags = solid.tagMap();
  const edges: Shape[] = [];
  for (const [edge, faces] of facesByEdge(solid.kernel, scope, solid.shape).entries()) {
    const [first, second] = faces;
    if (!first || !second || first.IsSame(second)) continue;
    const [tag, other] = [tags.get(first) ?? '', tags.get(second) ?? ''];
    if (wanted(tag, other) || wanted(other, tag)) edges.push(edge);
  }
  return edges;
}

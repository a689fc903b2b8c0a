import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';

type Kind = 'TopAbs_SOLID' | 'TopAbs_SHELL' | 'TopAbs_WIRE' | 'TopAbs_FACE' | 'TopAbs_EDGE' | 'TopAbs_VERTEX';

/** Parts of one kind in a shape, in the kernel's order; shared ones appear once for each use. */
export function partsOf(kernel: Kernel, scope: Scope, shape: Shape, kind: Kind): Shape[] {
  const explorer = new kernel.TopExp_Explorer(shape, kind, 'TopAbs_SHAPE');
  const parts: Shape[] = [];
  for (; explorer.More(); explorer.Next()) parts.push(scope.keep(explorer.Current()));
  explorer.delete();
  return parts;
}

/** The faces of a shape, in the kernel's order. */
export const facesOf = (kernel: Kernel, scope: Scope, shape: Shape): Shape[] =>
  partsOf(kernel, scope, shape, 'TopAbs_FACE');

/** The shapes of a history list. The list is a copy, so emptying it harms nobody. */
export function listed(
  scope: Scope,
  list: { Size(): number; First(): Shape; RemoveFirst(): void; delete(): void; Clear(): void },
): Shape[] {
  scope.keep(list);
  const shapes: Shape[] = [];
  while (list.Size() > 0) {
    shapes.push(scope.keep(list.First()));
    list.RemoveFirst();
  }
  return shapes;
}

/** Written on the handle itself: what it stands for does not change, and asking the kernel takes ten times as long. */
const HASH = Symbol('hash');

/** A number that equal shapes share. It follows addresses in memory: never store it. */
export const hashOf = (kernel: Kernel, shape: Shape & { [HASH]?: number }): number =>
  (shape[HASH] ??= kernel.ReplicadShapeHasher.HashCode(shape, 2147483647));

/** A map by identity of shapes, whatever their orientation. */
export class ShapeMap<T> {
  #buckets = new Map<number, { shape: Shape; value: T }[]>();

  constructor(private readonly kernel: Kernel) {}

  get(shape: Shape): T | undefined {
    return this.#buckets.get(hashOf(this.kernel, shape))?.find((entry) => entry.shape.IsSame(shape))?.value;
  }

  set(shape: Shape, value: T): void {
    this.update(shape, () => value);
  }

  /** Sets a value by the one that is there, with one look. */
  update(shape: Shape, next: (before: T | undefined) => T): void {
    const hash = hashOf(this.kernel, shape);
    const bucket = this.#buckets.get(hash);
    const entry = bucket?.find((candidate) => candidate.shape.IsSame(shape));
    if (entry) entry.value = next(entry.value);
    else if (bucket) bucket.push({ shape, value: next(undefined) });
    else this.#buckets.set(hash, [{ shape, value: next(undefined) }]);
  }

  *entries(): Generator<[Shape, T]> {
    for (const bucket of this.#buckets.values()) for (const { shape, value } of bucket) yield [shape, value];
  }
}

/** Faces on both sides of every edge. A seam has the same face twice. */
export function facesByEdge(kernel: Kernel, scope: Scope, shape: Shape): ShapeMap<Shape[]> {
  const map = new ShapeMap<Shape[]>(kernel);
  for (const face of partsOf(kernel, scope, shape, 'TopAbs_FACE')) {
    for (const edge of partsOf(kernel, scope, face, 'TopAbs_EDGE')) {
      const faces = map.get(edge);
      if (faces) faces.push(face);
      else map.set(edge, [face]);
    }
  }
  return map;
}

import type { Kernel, Shape } from './kernel';
import { ShapeMap } from './topology';

/** Faces of most parts several times over. */
const FEW = 400;

interface Kept<T> {
  known: ShapeMap<T>;
  held: Shape[];
}

/**
 * Something that is worked out for a face and kept while the face is asked for again and again: a step leaves most faces of a part as they
 * are. Holds handles on them, so that no other comes to lie at their address.
 */
export class FewFaces<T> {
  #young: Kept<T>;
  /** What was young before: let go all together when as many have come after it. */
  #old: Kept<T>;
  #most = FEW;

  constructor(
    private readonly kernel: Kernel,
    private readonly work: (face: Shape) => T,
  ) {
    this.#young = this.#none();
    this.#old = this.#none();
  }

  /** For all faces of a shape, in their order; whichever way round each is. */
  of(faces: readonly Shape[]): T[] {
    // Room for twice as many, so that none of these is let go meanwhile.
    this.#most = Math.max(FEW, 2 * faces.length);
    return faces.map((face) => {
      const young = this.#young.known.get(face);
      if (young !== undefined) return young;
      const value = this.#old.known.get(face) ?? this.work(face);
      this.#keep(face, value);
      return value;
    });
  }

  #keep(face: Shape, value: T): void {
    if (this.#young.held.length >= this.#most) {
      for (const held of this.#old.held) held.delete();
      [this.#old, this.#young] = [this.#young, this.#none()];
    }
    const held = this.kernel.TopoDS.Face(face);
    this.#young.held.push(held);
    this.#young.known.set(held, value);
  }

  dispose(): void {
    for (const { held } of [this.#old, this.#young]) for (const face of held) face.delete();
    [this.#old, this.#young] = [this.#none(), this.#none()];
  }

  #none(): Kept<T> {
    return { known: new ShapeMap(this.kernel), held: [] };
  }
}

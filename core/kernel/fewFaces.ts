import type { Kernel, Shape } from './kernel';
import { ShapeMap } from './topology';

/** Faces of the largest part of ours several times over. */
const MOST = 500;

/** What is known of the faces that came last. Holds handles on them, so that no other comes to lie at their address. */
export class FewFaces<T> {
  #known: ShapeMap<T>;
  #held: Shape[] = [];

  constructor(private readonly kernel: Kernel) {
    this.#known = new ShapeMap(kernel);
  }

  /** Whichever way round the face is. */
  get(face: Shape): T | undefined {
    return this.#known.get(face);
  }

  /** The face belongs to it from now on. With too many, all before are let go. */
  keep(face: Shape, value: T): void {
    if (this.#held.length >= MOST) {
      for (const held of this.#held.splice(0)) held.delete();
      this.#known = new ShapeMap(this.kernel);
    }
    this.#held.push(face);
    this.#known.set(face, value);
  }
}

import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import { partsOf, ShapeMap } from './topology';

/**
 * Something that is worked out for each face of a part and kept until its next change, which leaves most faces as they are. Holds
 * handles on the faces, so that no other comes to lie at their address.
 */
export class PerFace<T> {
  #known: ShapeMap<T>;
  #held: Shape[] = [];

  /** @param work what is wanted of one face; whichever way round it is. */
  constructor(
    private readonly kernel: Kernel,
    private readonly work: (kernel: Kernel, face: Shape) => T,
  ) {
    this.#known = new ShapeMap(kernel);
  }

  /** For every face of a shape, which takes the place of the one before. */
  of(shape: Shape): T[] {
    const { kernel } = this;
    return scoped((scope) => {
      const next = new ShapeMap<T>(kernel);
      const held: Shape[] = [];
      const all = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => {
        const value = this.#known.get(face) ?? this.work(kernel, face);
        next.set(face, value);
        held.push(face);
        return value;
      });
      for (const face of held) scope.release(face);
      this.dispose();
      [this.#known, this.#held] = [next, held];
      return all;
    });
  }

  dispose(): void {
    for (const face of this.#held.splice(0)) face.delete();
    this.#known = new ShapeMap(this.kernel);
  }
}

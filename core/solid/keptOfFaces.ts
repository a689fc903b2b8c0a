import {
  boxRound,
  faceArea,
  faceBox,
  KeptPieces,
  meshOf,
  PerFace,
  type Kernel,
  type TaggedSolid,
} from '@core/kernel';
import { SCREEN_QUALITY, type Box, type SolidMesh } from '@core/part';

/** What is known of the faces of a part from its last build, so that a change costs only the faces that it made. */
export class KeptOfFaces {
  readonly #pieces: KeptPieces;
  readonly #boxes: PerFace<Box>;
  readonly #areas: PerFace<number>;

  constructor(kernel: Kernel) {
    this.#pieces = new KeptPieces(kernel);
    this.#boxes = new PerFace(kernel, faceBox);
    this.#areas = new PerFace(kernel, faceArea);
  }

  /** Triangles at the quality of the screen. */
  meshOf(solid: TaggedSolid): SolidMesh {
    return meshOf(solid, SCREEN_QUALITY, this.#pieces);
  }

  /** mm. */
  boxOf({ shape }: TaggedSolid): Box {
    return boxRound(this.#boxes.of(shape));
  }

  /** Area of all faces, mm². */
  areaOf({ shape }: TaggedSolid): number {
    return this.#areas.of(shape).reduce((sum, mm2) => sum + mm2, 0);
  }

  dispose(): void {
    for (const kept of [this.#pieces, this.#boxes, this.#areas]) kept.dispose();
  }
}

import {
  boxRound,
  faceArea,
  faceBox,
  KeptPieces,
  meshOf,
  FewFaces,
  type Kernel,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { SCREEN_QUALITY, type Box, type SolidMesh } from '@core/shaping/part';

/** What is known of the faces of a part from its last builds, so that a change costs only the faces that it made. */
export class KeptOfFaces {
  readonly #pieces: KeptPieces;
  readonly #boxes: FewFaces<Box>;
  readonly #areas: FewFaces<number>;

  constructor(kernel: Kernel) {
    this.#pieces = new KeptPieces(kernel);
    this.#boxes = new FewFaces(kernel, (face) => faceBox(kernel, face));
    this.#areas = new FewFaces(kernel, (face) => faceArea(kernel, face));
  }

  /** Triangles at the quality of the screen. */
  meshOf(solid: TaggedSolid): SolidMesh {
    return meshOf(solid, SCREEN_QUALITY, this.#pieces);
  }

  /** mm. */
  boxOf(solid: TaggedSolid): Box {
    return boxRound(this.#boxes.of(solid.faceList()));
  }

  /** Area of all faces, mm². */
  areaOf(solid: TaggedSolid): number {
    return this.#areas.of(solid.faceList()).reduce((sum, mm2) => sum + mm2, 0);
  }

  dispose(): void {
    for (const kept of [this.#pieces, this.#boxes, this.#areas]) kept.dispose();
  }
}

import type { FacePiece } from './facePiece';
import type { Kernel, Shape } from './kernel';
import type { MeshPieces } from './meshPieces';
import { scoped, type Scope } from './scope';
import { hashOf, partsOf, ShapeMap } from './topology';

interface KeptFace {
  orientation: string;
  piece: FacePiece;
}

/**
 * The pieces of the mesh of a part, kept until its next one: a change leaves most faces as they are, and the kernel takes longer over
 * their triangles than over all else of a late change. Holds handles on faces and edges, so that no other comes to lie at their address.
 */
export class KeptPieces {
  #held: Shape[] = [];
  #faces: ShapeMap<KeptFace>;
  #edges: ShapeMap<Float32Array>;

  constructor(private readonly kernel: Kernel) {
    this.#faces = new ShapeMap(kernel);
    this.#edges = new ShapeMap(kernel);
  }

  /** What is known of a shape's faces and of the edges of these; undefined if none of its faces is known. */
  amongFacesOf(shape: Shape): MeshPieces | undefined {
    return scoped((scope) => {
      const pieces: MeshPieces = { faces: new Map(), edges: new Map() };
      for (const face of partsOf(this.kernel, scope, shape, 'TopAbs_FACE')) {
        const kept = this.#faces.get(face);
        // Seen from its other side, its triangles run the other way.
        if (kept?.orientation !== face.Orientation()) continue;
        pieces.faces.set(hashOf(this.kernel, face), kept.piece);
        this.#addEdges(scope, face, pieces.edges);
      }
      return pieces.faces.size > 0 ? pieces : undefined;
    });
  }

  #addEdges(scope: Scope, face: Shape, edges: Map<number, Float32Array>): void {
    for (const edge of partsOf(this.kernel, scope, face, 'TopAbs_EDGE')) {
      const lines = this.#edges.get(edge);
      if (lines) edges.set(hashOf(this.kernel, edge), lines);
    }
  }

  /** Keeps the pieces of a shape in place of those before. */
  keep(shape: Shape, pieces: MeshPieces): void {
    this.dispose();
    const { kernel } = this;
    scoped((scope) => {
      for (const face of partsOf(kernel, scope, shape, 'TopAbs_FACE')) {
        const piece = pieces.faces.get(hashOf(kernel, face));
        if (piece) this.#faces.set(this.#hold(scope, face), { orientation: face.Orientation(), piece });
      }
      for (const edge of partsOf(kernel, scope, shape, 'TopAbs_EDGE')) {
        const lines = pieces.edges.get(hashOf(kernel, edge));
        if (lines && !this.#edges.get(edge)) this.#edges.set(this.#hold(scope, edge), lines);
      }
    });
  }

  #hold(scope: Scope, shape: Shape): Shape {
    const held = scope.release(shape);
    this.#held.push(held);
    return held;
  }

  dispose(): void {
    for (const shape of this.#held.splice(0)) shape.delete();
    this.#faces = new ShapeMap(this.kernel);
    this.#edges = new ShapeMap(this.kernel);
  }
}

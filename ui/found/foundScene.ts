import {
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  type Material,
  Mesh,
  MeshLambertMaterial,
  Vector3,
} from 'three';

import type { Painted } from '@core/checking/found';
import type { Vec3 } from '@core/foundations/vectors';
import type { SolidMesh } from '@core/shaping/part';

import { disposeOf, lines } from '../part/drawnBody';
import { inkMaterial } from '../part/materials';
import { LitScene } from '../scene/litScene';
import { paletteNow } from '../preferences/benchLight';

const RING_CORNERS = 48;

/** A scanned piece over the spare: painted by where it is off, the spare in ink; one shines through the other. */
export class FoundScene extends LitScene {
  readonly #spare = new Group();
  /** The spare's edges: they stay, so that one sees where the scanned piece leaves them. */
  readonly #edges = new Group();
  readonly #found = new Group();
  readonly #marks = new Group();
  /** 0 shows the spare alone, 1 the scanned piece alone. */
  #share = 0.5;

  constructor(canvas: HTMLCanvasElement) {
    super(canvas);
    this.view.scene.add(this.#spare, this.#edges, this.#found, this.#marks);
  }

  setSpare(mesh: SolidMesh): void {
    disposeOf(this.#spare);
    disposeOf(this.#edges);
    const geometry = geometryOf(mesh.positions);
    geometry.setIndex(new BufferAttribute(mesh.indices, 1));
    this.#spare.add(new Mesh(geometry, lit(paletteNow().putty.DEFAULT)));
    const ink = lines(mesh.edges, inkMaterial(paletteNow().ink, 1.4));
    ink.material.transparent = true;
    ink.renderOrder = 2;
    this.#edges.add(ink);
    this.box = new Box3().setFromArray(mesh.positions);
    this.fit();
  }

  setPainted({ on, out, within, outHatching, withinHatching }: Painted): void {
    disposeOf(this.#found);
    const tints: [Float32Array, string][] = [
      [on, paletteNow().putty.DEFAULT],
      [out, paletteNow().moss.soft],
      [within, paletteNow().rust.soft],
    ];
    for (const [corners, colour] of tints) this.#found.add(new Mesh(geometryOf(corners), lit(colour)));
    const hatchings: [Float32Array, string][] = [
      [outHatching, paletteNow().moss.DEFAULT],
      [withinHatching, paletteNow().rust.DEFAULT],
    ];
    for (const [segments, colour] of hatchings) {
      const material = new LineBasicMaterial({ color: new Color(colour), transparent: true });
      const hatching = new LineSegments(geometryOf(segments), material);
      hatching.renderOrder = 3;
      this.#found.add(hatching);
    }
    this.fade(this.#share);
  }

  /** Rings places, seen through what lies before them: the first in the ink of what is out, the second of what is within. */
  ring(out: Vec3 | null, within: Vec3 | null): void {
    disposeOf(this.#marks);
    const radius = this.box.getSize(new Vector3()).length() / 22;
    for (const [at, colour] of [
      [out, paletteNow().moss.DEFAULT],
      [within, paletteNow().rust.DEFAULT],
    ] as const) {
      if (!at) continue;
      const ring = lines(ringOf(radius), inkMaterial(colour, 3, 'over'));
      // Drawn after all that shines through.
      ring.material.transparent = true;
      ring.position.set(...at);
      ring.renderOrder = 4;
      this.#marks.add(ring);
    }
    this.view.invalidate();
  }

  /** @param share 0 for the spare alone, 1 for the scanned piece alone. */
  fade(share: number): void {
    this.#share = share;
    // Over a half the scanned piece stands whole and the spare fades, below the other way round.
    const [spare, found] = [Math.min(1, 2 * (1 - share)), Math.min(1, 2 * share)];
    for (const [group, opacity] of [
      [this.#spare, spare],
      [this.#found, found],
    ] as const) {
      group.visible = opacity > 0.02;
      for (const child of group.children) {
        const material = (child as Mesh).material as Material;
        material.transparent = true;
        material.opacity = opacity;
        // What shines through hides nothing.
        material.depthWrite = opacity === 1;
      }
    }
    this.view.invalidate();
  }

  /** Rings are seen as circles from wherever one looks. */
  protected override faceViewer(): void {
    for (const ring of this.#marks.children) ring.quaternion.copy(this.view.camera.quaternion);
  }

  override dispose(): void {
    for (const group of [this.#spare, this.#edges, this.#found, this.#marks]) disposeOf(group);
    super.dispose();
  }
}

/** Both sides: a scan may be open. Pushed back a little, so that ink on it is never cut up. */
const lit = (colour: string) =>
  new MeshLambertMaterial({
    color: new Color(colour),
    flatShading: true,
    side: DoubleSide,
    transparent: true,
    polygonOffset: true,
    polygonOffsetFactor: 1.5,
    polygonOffsetUnits: 2,
  });

function geometryOf(positions: Float32Array): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  return geometry;
}

function ringOf(radius: number): Float32Array {
  const at = (corner: number) => {
    const angle = (2 * Math.PI * corner) / RING_CORNERS;
    return [radius * Math.cos(angle), radius * Math.sin(angle), 0];
  };
  return new Float32Array(
    Array.from({ length: RING_CORNERS }, (_, corner) => [...at(corner), ...at(corner + 1)]).flat(),
  );
}

import {
  AmbientLight,
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  type Material,
  Mesh,
  MeshLambertMaterial,
  ShaderMaterial,
  type Vector2,
  Vector3,
} from 'three';

import type { Painted } from '@core/found';
import type { SolidMesh, Vec3 } from '@core/part';

import { disposeOf, lines } from '../part/drawnBody';
import { inkMaterial } from '../part/materials';
import { SpaceView } from '../scene/spaceView';
import { colours } from '../theme/colours';

/** Of the view, what is left free at each side. */
const MARGIN = 1.15;
const CORNER = new Vector3(0.612, -0.612, 0.5);
const RING_CORNERS = 48;

/** A scanned piece over the spare: painted by where it is off, the spare in ink; one shines through the other. */
export class FoundScene {
  readonly #view: SpaceView;
  readonly #spare = new Group();
  /** The spare's edges: they stay, so that one sees where the scanned piece leaves them. */
  readonly #edges = new Group();
  readonly #found = new Group();
  readonly #marks = new Group();
  readonly #shoulder = new DirectionalLight('white', 0.3 * Math.PI);
  #box = new Box3();
  /** 0 shows the spare alone, 1 the scanned piece alone. */
  #share = 0.5;

  constructor(canvas: HTMLCanvasElement) {
    this.#view = new SpaceView(canvas, () => this.#beforeDraw());
    const around = new AmbientLight('white', 0.74 * Math.PI);
    this.#view.scene.add(this.#spare, this.#edges, this.#found, this.#marks, around, this.#shoulder);
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.#view.resize(width, height, pixelRatio);
    this.fit();
  }

  setSpare(mesh: SolidMesh): void {
    disposeOf(this.#spare);
    disposeOf(this.#edges);
    const geometry = geometryOf(mesh.positions);
    geometry.setIndex(new BufferAttribute(mesh.indices, 1));
    this.#spare.add(new Mesh(geometry, lit(colours.putty.DEFAULT)));
    const ink = lines(mesh.edges, inkMaterial(colours.ink, 1.4));
    ink.material.transparent = true;
    ink.renderOrder = 2;
    this.#edges.add(ink);
    this.#box = new Box3().setFromArray(mesh.positions);
    this.fit();
  }

  setPainted({ on, out, within, outHatching, withinHatching }: Painted): void {
    disposeOf(this.#found);
    const tints: [Float32Array, string][] = [
      [on, colours.putty.DEFAULT],
      [out, colours.moss.soft],
      [within, colours.rust.soft],
    ];
    for (const [corners, colour] of tints) this.#found.add(new Mesh(geometryOf(corners), lit(colour)));
    const hatchings: [Float32Array, string][] = [
      [outHatching, colours.moss.DEFAULT],
      [withinHatching, colours.rust.DEFAULT],
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
    const radius = this.#box.getSize(new Vector3()).length() / 22;
    for (const [at, colour] of [
      [out, colours.moss.DEFAULT],
      [within, colours.rust.DEFAULT],
    ] as const) {
      if (!at) continue;
      const ring = lines(ringOf(radius), inkMaterial(colour, 3, 'over'));
      // Drawn after all that shines through.
      ring.material.transparent = true;
      ring.position.set(...at);
      ring.renderOrder = 4;
      this.#marks.add(ring);
    }
    this.#view.invalidate();
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
    this.#view.invalidate();
  }

  fit(): void {
    if (this.#box.isEmpty()) return;
    const { width, height } = this.#view.size;
    this.#view.lookAt(this.#box, CORNER, { x: width / MARGIN, y: height / MARGIN });
  }

  turn(right: number, up: number): void {
    this.#view.turn(right, up);
  }

  zoom(factor: number): void {
    this.#view.zoom(factor);
  }

  #beforeDraw(): void {
    const { camera, scene, size } = this.#view;
    // The light stands at the viewer's left shoulder.
    const away = this.#view.towards();
    const left = new Vector3().crossVectors(away, camera.up);
    this.#shoulder.position.copy(away).addScaledVector(left, 0.6).addScaledVector(camera.up, 0.7);
    // Rings are seen as circles from wherever one looks.
    for (const ring of this.#marks.children) ring.quaternion.copy(camera.quaternion);
    scene.traverse((object) => {
      const { material } = object as Mesh;
      if (!(material instanceof ShaderMaterial)) return;
      (material.uniforms.resolution?.value as Vector2 | undefined)?.set(size.width, size.height);
    });
  }

  dispose(): void {
    for (const group of [this.#spare, this.#edges, this.#found, this.#marks]) disposeOf(group);
    this.#view.dispose();
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

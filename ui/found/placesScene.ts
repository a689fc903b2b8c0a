import {
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  EdgesGeometry,
  Group,
  Mesh,
  MeshLambertMaterial,
  Raycaster,
  Vector2,
} from 'three';

import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { disposeOf, lines } from '../part/drawnBody';
import { inkMaterial } from '../part/materials';
import { LitScene } from '../scene/litScene';
import { paletteNow } from '../preferences/benchLight';

/** A mark is so large, px. */
const MARK_PX = 13;
/** A finger that moved further than this turned the piece, px. */
const TAP_PX = 8;

/** The numbers of places as strokes in a square from -1 to 1. */
const NUMERALS: readonly (readonly (readonly [number, number])[])[] = [
  [
    [-0.25, 0.3],
    [0.05, 0.55],
    [0.05, -0.55],
  ],
  [
    [-0.3, 0.3],
    [0, 0.55],
    [0.3, 0.25],
    [-0.3, -0.55],
    [0.35, -0.55],
  ],
  [
    [-0.3, 0.45],
    [0.1, 0.55],
    [0.3, 0.25],
    [-0.05, 0.05],
    [0.35, -0.25],
    [0.1, -0.55],
    [-0.3, -0.45],
  ],
];

/** One piece by itself on which places are pointed at: each is ringed, with its number. */
export class PlacesScene extends LitScene {
  readonly #piece = new Group();
  readonly #marks = new Group();
  #begun: { x: number; y: number } | null = null;

  constructor(canvas: HTMLCanvasElement) {
    super(canvas);
    this.view.scene.add(this.#piece, this.#marks);
  }

  /** @param edges pairs of corners that are drawn in ink; of a scan none are known, so its creases are looked for. */
  setPiece({ positions, indices }: WeldedMesh, edges: Float32Array | null): void {
    disposeOf(this.#piece);
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(positions, 3));
    geometry.setIndex(new BufferAttribute(indices, 1));
    const putty = new MeshLambertMaterial({
      color: new Color(paletteNow().putty.DEFAULT),
      flatShading: true,
      side: DoubleSide,
      polygonOffset: true,
      polygonOffsetFactor: 1.5,
      polygonOffsetUnits: 2,
    });
    this.#piece.add(new Mesh(geometry, putty));
    const drawn = edges ?? creasesOf(geometry);
    if (drawn) this.#piece.add(lines(drawn, inkMaterial(paletteNow().ink, 1.4)));
    this.box = new Box3().setFromArray(positions);
    this.fit();
  }

  /** Rings places with their numbers, seen through what lies before them. */
  setPlaces(places: readonly Vec3[]): void {
    disposeOf(this.#marks);
    for (const [index, at] of places.entries()) {
      const mark = lines(markOf(index), inkMaterial(paletteNow().rust.DEFAULT, 2.5, 'over'));
      mark.position.set(...at);
      mark.renderOrder = 4;
      this.#marks.add(mark);
    }
    this.view.invalidate();
  }

  /** A finger or pointer comes down; px from the upper left. */
  begin(x: number, y: number): void {
    this.#begun = { x, y };
  }

  /** It goes up: the place under it, if it stayed where it came down and the piece lies there. */
  end(x: number, y: number): Vec3 | null {
    const begun = this.#begun;
    this.#begun = null;
    if (!begun || Math.hypot(x - begun.x, y - begun.y) > TAP_PX) return null;
    return this.placeAt(x, y);
  }

  /** The place of the piece that is seen at a point of the view, px. */
  placeAt(x: number, y: number): Vec3 | null {
    const { width, height } = this.view.size;
    // It may have been turned since it was drawn.
    this.view.camera.updateMatrixWorld();
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((2 * x) / width - 1, 1 - (2 * y) / height), this.view.camera);
    const [drawn] = this.#piece.children;
    const hit = drawn ? ray.intersectObject(drawn, false)[0] : undefined;
    return hit ? [hit.point.x, hit.point.y, hit.point.z] : null;
  }

  protected override faceViewer(): void {
    const radius = MARK_PX * this.view.mmPerPx();
    for (const mark of this.#marks.children) {
      mark.quaternion.copy(this.view.camera.quaternion);
      mark.scale.setScalar(radius);
    }
  }

  override dispose(): void {
    for (const group of [this.#piece, this.#marks]) disposeOf(group);
    super.dispose();
  }
}

/** Faces that meet more sharply than this meet in a crease, degrees; of more triangles creases are not looked for. */
const CREASE_DEGREES = 35;
const MOST_CREASED = 100_000;

function creasesOf(geometry: BufferGeometry): Float32Array | null {
  if (geometry.getIndex()!.count / 3 > MOST_CREASED) return null;
  const creases = new EdgesGeometry(geometry, CREASE_DEGREES);
  const corners = creases.getAttribute('position').array as Float32Array;
  creases.dispose();
  return corners.length > 0 ? corners : null;
}

const RING_CORNERS = 40;

/** A ring of radius 1 round the number of a place, counted from 0. */
function markOf(index: number): Float32Array {
  const corners = Array.from({ length: RING_CORNERS + 1 }, (_, corner) => {
    const angle = (2 * Math.PI * corner) / RING_CORNERS;
    return [Math.cos(angle), Math.sin(angle)] as const;
  });
  const runs = [corners, NUMERALS[index] ?? []];
  return new Float32Array(
    runs.flatMap((run) => run.slice(1).flatMap(([x, y], at) => [run[at]![0], run[at]![1], 0, x, y, 0])),
  );
}

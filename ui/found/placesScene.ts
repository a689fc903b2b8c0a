import {
  AmbientLight,
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  Group,
  Mesh,
  MeshLambertMaterial,
  Raycaster,
  ShaderMaterial,
  Vector2,
  Vector3,
} from 'three';

import type { Vec3, WeldedMesh } from '@core/part';

import { disposeOf, lines } from '../part/drawnBody';
import { inkMaterial } from '../part/materials';
import { SpaceView } from '../scene/spaceView';
import { colours } from '../theme/colours';

const MARGIN = 1.15;
const CORNER = new Vector3(0.612, -0.612, 0.5);
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
export class PlacesScene {
  readonly #view: SpaceView;
  readonly #piece = new Group();
  readonly #marks = new Group();
  readonly #shoulder = new DirectionalLight('white', 0.3 * Math.PI);
  #box = new Box3();
  #begun: { x: number; y: number } | null = null;

  constructor(private readonly canvas: HTMLCanvasElement) {
    this.#view = new SpaceView(canvas, () => this.#beforeDraw());
    const around = new AmbientLight('white', 0.74 * Math.PI);
    this.#view.scene.add(this.#piece, this.#marks, around, this.#shoulder);
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.#view.resize(width, height, pixelRatio);
    this.fit();
  }

  /** @param edges pairs of corners that are drawn in ink; of a scan none are known, so its creases are looked for. */
  setPiece({ positions, indices }: WeldedMesh, edges: Float32Array | null): void {
    disposeOf(this.#piece);
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(positions, 3));
    geometry.setIndex(new BufferAttribute(indices, 1));
    const putty = new MeshLambertMaterial({
      color: new Color(colours.putty.DEFAULT),
      flatShading: true,
      side: DoubleSide,
      polygonOffset: true,
      polygonOffsetFactor: 1.5,
      polygonOffsetUnits: 2,
    });
    this.#piece.add(new Mesh(geometry, putty));
    const drawn = edges ?? creasesOf(geometry);
    if (drawn) this.#piece.add(lines(drawn, inkMaterial(colours.ink, 1.4)));
    this.#box = new Box3().setFromArray(positions);
    this.fit();
  }

  /** Rings places with their numbers, seen through what lies before them. */
  setPlaces(places: readonly Vec3[]): void {
    disposeOf(this.#marks);
    for (const [index, at] of places.entries()) {
      const mark = lines(markOf(index), inkMaterial(colours.rust.DEFAULT, 2.5, 'over'));
      mark.position.set(...at);
      mark.renderOrder = 4;
      this.#marks.add(mark);
    }
    this.#view.invalidate();
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
    const { width, height } = this.#view.size;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((2 * x) / width - 1, 1 - (2 * y) / height), this.#view.camera);
    const [drawn] = this.#piece.children;
    const hit = drawn ? ray.intersectObject(drawn, false)[0] : undefined;
    return hit ? [hit.point.x, hit.point.y, hit.point.z] : null;
  }

  /** The place in the middle of the view. */
  middle(): Vec3 | null {
    const { width, height } = this.#view.size;
    return this.placeAt(width / 2, height / 2);
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
    const away = this.#view.towards();
    const left = new Vector3().crossVectors(away, camera.up);
    this.#shoulder.position.copy(away).addScaledVector(left, 0.6).addScaledVector(camera.up, 0.7);
    const radius = MARK_PX * this.#view.mmPerPx();
    for (const mark of this.#marks.children) {
      mark.quaternion.copy(camera.quaternion);
      mark.scale.setScalar(radius);
    }
    scene.traverse((object) => {
      const { material } = object as Mesh;
      if (!(material instanceof ShaderMaterial)) return;
      (material.uniforms.resolution?.value as Vector2 | undefined)?.set(size.width, size.height);
    });
  }

  dispose(): void {
    for (const group of [this.#piece, this.#marks]) disposeOf(group);
    this.#view.dispose();
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

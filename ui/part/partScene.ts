import { Box3, Group, type Mesh, Raycaster, ShaderMaterial, Vector2, Vector3 } from 'three';
import { LineMaterial } from 'three/examples/jsm/lines/LineMaterial.js';

import type { Vec3 } from '@core/foundations/vectors';
import { CUT_TAG, type Picked, type SolidMesh } from '@core/shaping/part';

import { cornersOf, SpaceView } from '../scene/spaceView';
import { paletteNow } from '../preferences/benchLight';
import {
  crossAt,
  disposeOf,
  drawBody,
  isHeavy,
  lines,
  moveDrawn,
  type Layer,
  type SceneBody,
} from './drawnBody';
import { inkMaterial } from './materials';
import { cornerAt, edgeAt, type Pickable } from './pickOnMesh';
import type { Point } from './placeLabels';
import { STANCES, type Stance } from './stances';

/** Marks on the part: edges (segments) and points, mm. */
export interface SceneMarks {
  segments: Float32Array[];
  points: Vec3[];
}

/** Room for sizes round the part: a share of the view, within limits in px. */
const marginOf = (px: number) => Math.min(Math.max(px * 0.17, 24), 78);
/** Turn of an arrow key, radians. */
const KEY_TURN = Math.PI / 24;

/** A part that has not moved for so long rests, ms. */
const REST_MS = 160;

/** Draws bodies as a workshop drawing on a canvas. Draws only when something changed. */
export class PartScene {
  readonly #view: SpaceView;
  readonly #bodies = new Group();
  readonly #marks = new Group();
  #shown: readonly SceneBody[] = [];
  #box = new Box3();
  #followed: { mesh: SolidMesh; group: Group } | null = null;
  #heavy = false;
  /** It is being turned, and rests when nothing has happened for a moment. */
  #moving = false;
  #rest: ReturnType<typeof setTimeout> | undefined;
  #stance: Stance | null = 'corner';
  #onView: () => void = () => {};
  #onStance: (stance: Stance | null) => void = () => {};

  constructor(canvas: HTMLCanvasElement) {
    this.#view = new SpaceView(
      canvas,
      () => this.#light(),
      () => this.#onView(),
    );
    this.#view.scene.add(this.#bodies, this.#marks);
    this.#view.controls.addEventListener('change', () => this.#stir());
    this.#view.controls.addEventListener('start', () => this.#leaveStance());
  }

  /** `onView` after each drawing, `onStance` when the person turns the part away from a stance. */
  listen(onView: () => void, onStance: (stance: Stance | null) => void): void {
    this.#onView = onView;
    this.#onStance = onStance;
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.#view.resize(width, height, pixelRatio);
    this.fit();
  }

  /** Replaces what is drawn. Keeps the view unless the part was not there before or has changed its size a lot. */
  setBodies(bodies: readonly SceneBody[]): void {
    const before = this.#box.clone();
    this.#shown = bodies;
    this.#heavy = isHeavy(bodies);
    this.#clear();
    this.#followed = null;
    this.#box = boxOf(bodies);
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    for (const body of bodies) this.#bodies.add(drawBody(body, unit));
    if (this.#stance !== null || before.isEmpty() || changedALot(before, this.#box)) this.fit();
    else this.invalidate();
  }

  /**
   * Shows a body at other points than those it was built with, until `leave` or the next bodies: nothing but its points changes from one
   * call to the next, so that it moves in the frame that asks.
   *
   * @param mesh the faces and edges that the points are of.
   */
  follow(bodyId: string, mesh: SolidMesh, at: Pick<SolidMesh, 'positions' | 'edges'>): void {
    const body = this.#shown.find(({ id }) => id === bodyId);
    if (!body) return;
    if (this.#followed?.mesh !== mesh) {
      const own = { ...mesh, positions: mesh.positions.slice(), edges: mesh.edges.slice() };
      const plain = { opened: null, centreLines: [], failedTool: null };
      this.#followed = { mesh, group: this.#redraw({ ...body, ...plain, mesh: own }) };
    }
    moveDrawn(this.#followed.group, at);
    this.#stir();
    this.invalidate();
  }

  /** Shows bodies as they were built again. */
  leave(): void {
    if (!this.#followed) return;
    const { name } = this.#followed.group;
    this.#followed = null;
    const body = this.#shown.find(({ id }) => id === name);
    if (body) this.#redraw(body);
    this.invalidate();
  }

  /** Draws one body anew in place of what is drawn of it. */
  #redraw(body: SceneBody): Group {
    const before = this.#bodies.children.find(({ name }) => name === body.id) as Group | undefined;
    if (before) {
      disposeOf(before);
      this.#bodies.remove(before);
    }
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    const group = drawBody(body, unit);
    this.#bodies.add(group);
    return group;
  }

  /** Draws marks over the part, in place of those before. */
  setMarks({ segments, points }: SceneMarks): void {
    disposeOf(this.#marks);
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    const crosses = points.map((at) => crossAt(at, unit * 0.02));
    for (const run of [...segments, ...crosses]) {
      const drawn = lines(run, inkMaterial(paletteNow().green.DEFAULT, 4, 'over'));
      drawn.renderOrder = 3;
      this.#marks.add(drawn);
    }
    this.invalidate();
  }

  /** What a tap at a point of the view means, px from its upper left corner; edges before the faces that they bound. */
  pick(at: Point, kinds: readonly Pickable[]): { bodyId: string; picked: Picked } | null {
    const solid = this.#shown.filter(({ ghost }) => !ghost);
    const bodies = solid.length > 0 ? [...solid, ...this.#shown.filter(({ ghost }) => ghost)] : this.#shown;
    const project = (point: Vec3) => this.#projectDeep(point);
    const isSeen = (point: Vec3) => this.#isSeen(point);
    if (kinds.includes('corner')) {
      for (const { id, mesh } of bodies) {
        const picked = cornerAt(mesh, at, project, isSeen);
        if (picked) return { bodyId: id, picked };
      }
    }
    if (kinds.includes('edge')) {
      for (const { id, mesh } of bodies) {
        const found = edgeAt(mesh, at, project, isSeen);
        if (found && (!kinds.includes('face') || found.px < 8)) {
          return { bodyId: id, picked: { kind: 'edge', tags: found.tags, near: found.near } };
        }
      }
    }
    return kinds.includes('face') ? this.#faceAt(at, bodies) : null;
  }

  #faceAt(at: Point, bodies: readonly SceneBody[]): { bodyId: string; picked: Picked } | null {
    const ray = new Raycaster();
    const { width, height } = this.#view.size;
    ray.setFromCamera(new Vector2((2 * at.x) / width - 1, 1 - (2 * at.y) / height), this.#view.camera);
    for (const body of bodies) {
      const drawn = this.#bodies.children.find(({ name }) => name === body.id)?.children[0] as
        Mesh | undefined;
      // Only what the camera looks at from outside, nearest first.
      const hit = drawn ? ray.intersectObject(drawn, false)[0] : undefined;
      if (hit?.faceIndex === undefined || hit.faceIndex === null) continue;
      const mesh = body.opened?.mesh ?? body.mesh;
      const index = 3 * hit.faceIndex;
      const face = mesh.faces.find(({ start, count }) => index >= start && index < start + count);
      if (!face || face.tag === CUT_TAG) continue;
      return {
        bodyId: body.id,
        picked: { kind: 'face', tag: face.tag, near: [hit.point.x, hit.point.y, hit.point.z] },
      };
    }
    return null;
  }

  /** Whether no face of what is shown lies between the viewer and a point. */
  #isSeen(point: Vec3): boolean {
    const { x, y } = this.#projectDeep(point);
    const { width, height } = this.#view.size;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((2 * x) / width - 1, 1 - (2 * y) / height), this.#view.camera);
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    const faces = this.#bodies.children.flatMap((body) => body.children.slice(0, 1));
    const [hit] = ray.intersectObjects(faces, false);
    if (!hit) return true;
    // An edge lies on its faces: what hides it is nearer by more than a hair.
    const away = new Vector3(...point).sub(hit.point).dot(ray.ray.direction);
    return away < unit * 0.004;
  }

  #projectDeep(point: Vec3): Point & { depth: number } {
    const seen = new Vector3(...point).project(this.#view.camera);
    const { width, height } = this.#view.size;
    return { x: ((seen.x + 1) / 2) * width, y: ((1 - seen.y) / 2) * height, depth: seen.z };
  }

  setStance(stance: Stance): void {
    this.#stance = stance;
    this.fit();
    this.#onStance(stance);
  }

  /** Brings the whole part into view, from where the view looks now. */
  fit(): void {
    if (this.#box.isEmpty()) {
      this.invalidate();
      return;
    }
    const towards = this.#stance ? new Vector3(...STANCES[this.#stance].towards) : this.#view.towards();
    // Straight down has no up of its own: lean by a hair so that the back of the part is up.
    if (this.#stance === 'plan') towards.set(0, -1e-5, 1);
    const { width, height } = this.#view.size;
    this.#view.lookAt(this.#box, towards, {
      x: width - 2 * marginOf(width),
      y: height - 2 * marginOf(height),
    });
  }

  /** Turns by steps of a key: to the right and upwards. */
  turn(right: number, up: number): void {
    this.#leaveStance();
    this.#stir();
    this.#view.turn(right * KEY_TURN, up * KEY_TURN);
  }

  /** The way from the part to the viewer; a unit vector. */
  look(): Vec3 {
    const { x, y, z } = this.#view.towards();
    return [x, y, z];
  }

  zoom(factor: number): void {
    this.#view.zoom(factor);
  }

  project(point: Vec3): Point {
    const seen = new Vector3(...point).project(this.#view.camera);
    return { x: ((seen.x + 1) / 2) * this.#view.size.width, y: ((1 - seen.y) / 2) * this.#view.size.height };
  }

  /** Corners of the box that the sizes must keep clear of. */
  corners(): Vec3[] {
    return this.#box.isEmpty() ? [] : cornersOf(this.#box).map(({ x, y, z }) => [x, y, z] as const);
  }

  invalidate(): void {
    this.#view.invalidate();
  }

  draw(): void {
    this.#view.draw();
  }

  #light(): void {
    const { camera, scene, size } = this.#view;
    // The light stands at the viewer's left shoulder, so that a face never goes dark by being turned.
    const away = this.#view.towards();
    const left = new Vector3().crossVectors(away, camera.up).normalize();
    const light = away
      .addScaledVector(left, 0.6)
      .addScaledVector(camera.up, 0.7)
      .transformDirection(camera.matrixWorldInverse);
    const dashScale = 1 / (this.#view.mmPerPx() || 1);
    const shown = this.#layersShown();
    scene.traverse((object) => {
      const layer = object.userData.layer as Layer | undefined;
      if (layer) object.visible = shown[layer];
      for (const material of [(object as Mesh).material ?? []].flat()) {
        if (!(material instanceof ShaderMaterial)) continue;
        if (material instanceof LineMaterial) material.dashScale = dashScale;
        const { resolution, light: lit } = material.uniforms;
        (resolution?.value as Vector2 | undefined)?.set(size.width, size.height);
        (lit?.value as Vector3 | undefined)?.copy(light);
      }
    });
  }

  /** While a heavy part is turned, or a part follows the thumb, thin lines stand for ink. Hidden edges belong to the square views only. */
  #layersShown(): Record<Layer, boolean> {
    const coarse = (this.#heavy || this.#followed !== null) && this.#moving;
    const isSquare = this.#stance !== null && this.#stance !== 'corner';
    return { ink: !coarse, silhouette: !coarse, thin: coarse, hidden: isSquare && !coarse };
  }

  /** Something moves: it is drawn in full again once it rests. */
  #stir(): void {
    if (!this.#heavy && !this.#followed) return;
    this.#moving = true;
    clearTimeout(this.#rest);
    this.#rest = setTimeout(() => {
      this.#moving = false;
      this.invalidate();
    }, REST_MS);
  }

  dispose(): void {
    clearTimeout(this.#rest);
    this.#clear();
    disposeOf(this.#marks);
    this.#view.dispose();
  }

  #leaveStance(): void {
    if (this.#stance === null) return;
    this.#stance = null;
    this.#onStance(null);
    this.invalidate();
  }

  #clear(): void {
    disposeOf(this.#bodies);
  }
}

/** The box of what is to be made; ghosts count only where there is nothing else. */
function boxOf(bodies: readonly SceneBody[]): Box3 {
  const box = new Box3();
  const solid = bodies.filter((body) => !body.ghost);
  for (const body of solid.length > 0 ? solid : bodies) {
    box.union(new Box3().setFromArray(body.mesh.positions));
  }
  return box;
}

function changedALot(before: Box3, after: Box3): boolean {
  const [a, b] = [before, after].map((box) => box.getSize(new Vector3()).length()) as [number, number];
  return b > a * 1.5 || b < a / 1.5;
}

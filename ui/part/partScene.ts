import {
  AmbientLight,
  Box3,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  Group,
  Mesh,
  OrthographicCamera,
  Raycaster,
  Scene,
  ShaderMaterial,
  Vector2,
  Vector3,
  WebGLRenderer,
  type Material,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { LineMaterial } from 'three/examples/jsm/lines/LineMaterial.js';
import { LineSegments2 } from 'three/examples/jsm/lines/LineSegments2.js';
import { LineSegmentsGeometry } from 'three/examples/jsm/lines/LineSegmentsGeometry.js';

import {
  CUT_TAG,
  movedPoint,
  type CentreLine,
  type Motion,
  type OpenedSolid,
  type Picked,
  type SolidMesh,
  type Vec3,
} from '@core/solid';

import { colours } from '../theme/colours';
import { centreMarks } from './chainLine';
import { faceMaterial, ghostMaterial, inkMaterial, silhouetteMaterial } from './materials';
import { edgeAt } from './pickOnMesh';
import type { Point } from './placeLabels';
import { STANCES, type Stance } from './stances';

/** A body as the scene draws it. */
export interface SceneBody {
  id: string;
  ghost: boolean;
  mesh: SolidMesh;
  opened: OpenedSolid | null;
  centreLines: CentreLine[];
  /** Edges of a tool that failed, as segments. */
  failedTool: Float32Array | null;
  /** Shown where a motion takes it. */
  moved?: { motion: Motion; far: number } | undefined;
}

/** Marks on the part: edges (segments) and points, mm. */
export interface SceneMarks {
  segments: Float32Array[];
  points: Vec3[];
}

/** Room for sizes round the part: a share of the view, within limits in px. */
const marginOf = (px: number) => Math.min(Math.max(px * 0.17, 24), 78);
/** Turn of an arrow key, radians. */
const KEY_TURN = Math.PI / 24;

/** Draws bodies as a workshop drawing on a canvas. Draws only when something changed. */
export class PartScene {
  readonly #renderer: WebGLRenderer;
  readonly #scene = new Scene();
  readonly #camera = new OrthographicCamera();
  readonly #light = new DirectionalLight(0xffffff, Math.PI * 0.3);
  readonly #controls: OrbitControls;
  readonly #bodies = new Group();
  readonly #marks = new Group();
  #shown: readonly SceneBody[] = [];
  #box = new Box3();
  #size = { width: 1, height: 1 };
  #frame = 0;
  #stance: Stance | null = 'corner';
  #onView: () => void = () => {};
  #onStance: (stance: Stance | null) => void = () => {};

  constructor(canvas: HTMLCanvasElement) {
    this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    this.#camera.up.set(0, 0, 1);
    this.#camera.near = -10_000;
    this.#camera.far = 10_000;
    this.#scene.add(this.#bodies, this.#marks, new AmbientLight(0xffffff, Math.PI * 0.72), this.#light);
    this.#controls = new OrbitControls(this.#camera, canvas);
    this.#controls.enableDamping = false;
    this.#controls.zoomToCursor = true;
    this.#controls.addEventListener('change', () => this.invalidate());
    this.#controls.addEventListener('start', () => this.#leaveStance());
  }

  /** `onView` after each drawing, `onStance` when the person turns the part away from a stance. */
  listen(onView: () => void, onStance: (stance: Stance | null) => void): void {
    this.#onView = onView;
    this.#onStance = onStance;
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.#size = { width: Math.max(1, width), height: Math.max(1, height) };
    this.#renderer.setPixelRatio(pixelRatio);
    this.#renderer.setSize(this.#size.width, this.#size.height, false);
    this.fit();
  }

  /** Replaces what is drawn. Keeps the view unless the part was not there before or has changed its size a lot. */
  setBodies(bodies: readonly SceneBody[]): void {
    const before = this.#box.clone();
    this.#shown = bodies;
    this.#clear();
    this.#box = boxOf(bodies);
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    for (const body of bodies) this.#bodies.add(drawBody(body, unit));
    if (this.#stance !== null || before.isEmpty() || changedALot(before, this.#box)) this.fit();
    else this.invalidate();
  }

  /** Draws marks over the part, in place of those before. */
  setMarks({ segments, points }: SceneMarks): void {
    disposeOf(this.#marks);
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    const crosses = points.map((at) => crossAt(at, unit * 0.02));
    for (const run of [...segments, ...crosses]) {
      const drawn = lines(run, inkMaterial(colours.green.DEFAULT, 4, 'over'));
      drawn.renderOrder = 3;
      this.#marks.add(drawn);
    }
    this.invalidate();
  }

  /** What a tap at a point of the view means, px from its upper left corner; edges before the faces that they bound. */
  pick(at: Point, kinds: readonly ('face' | 'edge')[]): { bodyId: string; picked: Picked } | null {
    const solid = this.#shown.filter(({ ghost }) => !ghost);
    const bodies = solid.length > 0 ? [...solid, ...this.#shown.filter(({ ghost }) => ghost)] : this.#shown;
    if (kinds.includes('edge')) {
      for (const { id, mesh } of bodies) {
        const found = edgeAt(
          mesh,
          at,
          (point) => this.#projectDeep(point),
          (point) => this.#isSeen(point),
        );
        if (found && (!kinds.includes('face') || found.px < 8)) {
          return { bodyId: id, picked: { kind: 'edge', tags: found.tags, near: found.near } };
        }
      }
    }
    return kinds.includes('face') ? this.#faceAt(at, bodies) : null;
  }

  #faceAt(at: Point, bodies: readonly SceneBody[]): { bodyId: string; picked: Picked } | null {
    const ray = new Raycaster();
    const { width, height } = this.#size;
    ray.setFromCamera(new Vector2((2 * at.x) / width - 1, 1 - (2 * at.y) / height), this.#camera);
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
    const { width, height } = this.#size;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((2 * x) / width - 1, 1 - (2 * y) / height), this.#camera);
    const unit = this.#box.isEmpty() ? 1 : this.#box.getSize(new Vector3()).length();
    const faces = this.#bodies.children.flatMap((body) => body.children.slice(0, 1));
    const [hit] = ray.intersectObjects(faces, false);
    if (!hit) return true;
    // An edge lies on its faces: what hides it is nearer by more than a hair.
    const away = new Vector3(...point).sub(hit.point).dot(ray.ray.direction);
    return away < unit * 0.004;
  }

  #projectDeep(point: Vec3): Point & { depth: number } {
    const seen = new Vector3(...point).project(this.#camera);
    const { width, height } = this.#size;
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
    const centre = this.#box.getCenter(new Vector3());
    const towards = this.#stance
      ? new Vector3(...STANCES[this.#stance].towards)
      : this.#camera.position.clone().sub(this.#controls.target).normalize();
    // Straight down has no up of its own: lean by a hair so that the back of the part is up.
    if (this.#stance === 'plan') towards.set(0, -1e-5, 1).normalize();
    this.#controls.target.copy(centre);
    this.#camera.position.copy(centre).addScaledVector(towards, 1000);
    this.#camera.zoom = 1;
    this.#camera.lookAt(centre);
    this.#camera.updateMatrixWorld();
    const seen = new Box3();
    for (const corner of cornersOf(this.#box))
      seen.expandByPoint(corner.applyMatrix4(this.#camera.matrixWorldInverse));
    const extent = seen.getSize(new Vector3());
    const { width, height } = this.#size;
    const room = { x: width - 2 * marginOf(width), y: height - 2 * marginOf(height) };
    const mmPerPx = Math.max(extent.x / Math.max(room.x, 1), extent.y / Math.max(room.y, 1), 1e-6);
    this.#camera.left = (-width / 2) * mmPerPx;
    this.#camera.right = (width / 2) * mmPerPx;
    this.#camera.top = (height / 2) * mmPerPx;
    this.#camera.bottom = (-height / 2) * mmPerPx;
    this.#camera.updateProjectionMatrix();
    this.#controls.update();
    this.invalidate();
  }

  /** Turns by steps of a key: to the right and upwards. */
  turn(right: number, up: number): void {
    this.#leaveStance();
    const offset = this.#camera.position.clone().sub(this.#controls.target);
    const level = Math.hypot(offset.x, offset.y);
    const azimuth = Math.atan2(offset.y, offset.x) + right * KEY_TURN;
    const height = Math.min(Math.max(Math.atan2(offset.z, level) + up * KEY_TURN, -1.57), 1.57);
    const length = offset.length();
    offset.set(
      length * Math.cos(height) * Math.cos(azimuth),
      length * Math.cos(height) * Math.sin(azimuth),
      length * Math.sin(height),
    );
    this.#camera.position.copy(this.#controls.target).add(offset);
    this.#controls.update();
    this.invalidate();
  }

  /** The way from the part to the viewer; a unit vector. */
  look(): Vec3 {
    const { x, y, z } = this.#camera.position.clone().sub(this.#controls.target).normalize();
    return [x, y, z];
  }

  zoom(factor: number): void {
    this.#camera.zoom = Math.min(Math.max(this.#camera.zoom * factor, 0.2), 60);
    this.#camera.updateProjectionMatrix();
    this.invalidate();
  }

  project(point: Vec3): Point {
    const seen = new Vector3(...point).project(this.#camera);
    return { x: ((seen.x + 1) / 2) * this.#size.width, y: ((1 - seen.y) / 2) * this.#size.height };
  }

  /** Corners of the box that the sizes must keep clear of. */
  corners(): Vec3[] {
    return this.#box.isEmpty() ? [] : cornersOf(this.#box).map(({ x, y, z }) => [x, y, z] as const);
  }

  invalidate(): void {
    if (this.#frame) return;
    this.#frame = requestAnimationFrame(() => {
      this.#frame = 0;
      this.draw();
    });
  }

  draw(): void {
    // The light stands at the viewer's left shoulder, so that a face never goes dark by being turned.
    const away = this.#camera.position.clone().sub(this.#controls.target).normalize();
    const left = new Vector3().crossVectors(away, this.#camera.up).normalize();
    this.#light.position.copy(away).addScaledVector(left, 0.6).addScaledVector(this.#camera.up, 0.7);
    const dashScale = this.#camera.zoom / ((this.#camera.right - this.#camera.left) / this.#size.width || 1);
    this.#scene.traverse((object) => {
      const material = (object as Mesh).material as Material | undefined;
      if (material instanceof LineMaterial) {
        material.resolution.set(this.#size.width, this.#size.height);
        material.dashScale = dashScale;
        // Hidden edges belong to the square views; in others they would only confuse.
        if (material.dashed) object.visible = this.#stance !== null && this.#stance !== 'corner';
      } else if (material instanceof ShaderMaterial) {
        (material.uniforms.resolution!.value as { set(x: number, y: number): void }).set(
          this.#size.width,
          this.#size.height,
        );
      }
    });
    this.#renderer.render(this.#scene, this.#camera);
    this.#onView();
  }

  dispose(): void {
    cancelAnimationFrame(this.#frame);
    this.#clear();
    disposeOf(this.#marks);
    this.#controls.dispose();
    this.#renderer.dispose();
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

/** Empties a group and frees what its objects hold on the graphics card. */
function disposeOf(group: Group): void {
  group.traverse((object) => {
    const drawn = object as Partial<Mesh>;
    drawn.geometry?.dispose();
    for (const material of [drawn.material ?? []].flat()) material.dispose();
  });
  group.clear();
}

/** Three short lines through a point. */
function crossAt([x, y, z]: Vec3, r: number): Float32Array {
  return new Float32Array([x - r, y, z, x + r, y, z, x, y - r, z, x, y + r, z, x, y, z - r, x, y, z + r]);
}

/** Everything that is drawn of one body. `unit` is the size of the whole part, mm. */
function drawBody(body: SceneBody, unit: number): Group {
  const group = new Group();
  group.name = body.id;
  if (body.moved) place(group, body.moved);
  const mesh = body.opened?.mesh ?? body.mesh;
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
  geometry.setIndex(new BufferAttribute(mesh.indices, 1));
  for (const face of mesh.faces) geometry.addGroup(face.start, face.count, face.tag === CUT_TAG ? 1 : 0);
  const faces = body.ghost
    ? [ghostMaterial(), ghostMaterial()]
    : [faceMaterial(colours.putty.DEFAULT), faceMaterial(colours.putty.cut)];
  const ink = body.ghost ? colours.slate.line : colours.ink;
  group.add(new Mesh(geometry, faces));
  if (!body.ghost) group.add(new Mesh(geometry, silhouetteMaterial(ink, 1.6)));
  group.add(lines(mesh.edges, inkMaterial(ink, body.ghost ? 1.2 : 1.7)));
  // A part that is cut open shows its inside already.
  if (!body.ghost && !body.opened) group.add(lines(mesh.edges, inkMaterial(ink, 0.9, 'hidden')));
  if (body.opened) group.add(lines(body.opened.hatching, inkMaterial(colours.green.DEFAULT, 0.8)));
  if (body.failedTool) {
    const tool = lines(body.failedTool, inkMaterial(colours.rust.DEFAULT, 2, 'over'));
    tool.renderOrder = 2;
    group.add(tool);
  }
  if (!body.ghost) {
    const marks = body.centreLines.flatMap((line) => centreMarks(line, unit * 0.06)).flat(2);
    const centre = lines(new Float32Array(marks), inkMaterial(colours.slate.line, 1, 'over'));
    centre.renderOrder = 2;
    group.add(centre);
  }
  return group;
}

/** Puts what is drawn where a motion takes it. */
function place(group: Group, { motion, far }: NonNullable<SceneBody['moved']>): void {
  const origin = movedPoint([0, 0, 0], motion, far);
  group.position.set(...origin);
  if (motion.by === 'turn') group.quaternion.setFromAxisAngle(new Vector3(...motion.way), far);
}

function lines(segments: Float32Array, material: LineMaterial): LineSegments2 {
  const geometry = new LineSegmentsGeometry();
  geometry.setPositions(segments.length > 0 ? segments : new Float32Array(6));
  const object = new LineSegments2(geometry, material);
  if (material.dashed) object.computeLineDistances();
  return object;
}

/** The box of what is to be made; ghosts count only where there is nothing else. */
function boxOf(bodies: readonly SceneBody[]): Box3 {
  const box = new Box3();
  const solid = bodies.filter((body) => !body.ghost);
  for (const body of solid.length > 0 ? solid : bodies) {
    box.union(new Box3().setFromArray(body.mesh.positions as unknown as number[]));
  }
  return box;
}

function cornersOf({ min, max }: Box3): Vector3[] {
  return [min.x, max.x].flatMap((x) =>
    [min.y, max.y].flatMap((y) => [min.z, max.z].map((z) => new Vector3(x, y, z))),
  );
}

function changedALot(before: Box3, after: Box3): boolean {
  const [a, b] = [before, after].map((box) => box.getSize(new Vector3()).length()) as [number, number];
  return b > a * 1.5 || b < a / 1.5;
}

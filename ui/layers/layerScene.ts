import {
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Group,
  LineBasicMaterial,
  LineDashedMaterial,
  LineSegments,
  type Material,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  Vector2,
  Vector3,
} from 'three';
import { LineMaterial } from 'three/examples/jsm/lines/LineMaterial.js';
import { LineSegments2 } from 'three/examples/jsm/lines/LineSegments2.js';
import { LineSegmentsGeometry } from 'three/examples/jsm/lines/LineSegmentsGeometry.js';

import { MOVE_KINDS, type OverhangFaces, type LayerDrawing, type MoveKind } from '@core/making/printing';

import { SpaceView } from '../scene/spaceView';
import { paletteNow } from '../preferences/benchLight';
import type { Palette } from '../theme/palettes';

interface Pen {
  px: number;
  colour: string;
  dashMm?: number;
}

/** How lines of a kind are drawn: weight and dashes tell them apart, as on a drawing. */
export const pensOf = ({ ink, muted, green, slate, rule, rust }: Palette): Record<MoveKind, Pen> => ({
  outerWall: { px: 2.8, colour: ink },
  innerWall: { px: 1.5, colour: ink },
  thinWall: { px: 2.2, colour: ink },
  gap: { px: 1, colour: ink },
  skin: { px: 0.8, colour: muted },
  bridge: { px: 2, colour: green.DEFAULT, dashMm: 1.6 },
  fill: { px: 1, colour: slate.line },
  support: { px: 1.2, colour: rule, dashMm: 0.5 },
  supportFace: { px: 1.2, colour: rule, dashMm: 1 },
  foot: { px: 1, colour: rule },
  travel: { px: 0.7, colour: rust.DEFAULT, dashMm: 0.4 },
});

const TRAVEL = MOVE_KINDS.indexOf('travel');
const OUTER = MOVE_KINDS.indexOf('outerWall');
const RING_CORNERS = 36;
/** The view is larger than what is shown by this much. */
const MARGIN = 1.12;
const FOOT = MOVE_KINDS.indexOf('foot');

/** A job drawn layer by layer: the chosen layer in ink on tracing paper, what lies below it faint. */
export class LayerScene {
  readonly #view: SpaceView;
  readonly #below = new Group();
  readonly #sheet = new Group();
  readonly #overhangs = new Group();
  readonly #mark = new Group();
  #drawing: LayerDrawing | null = null;
  /** How many points of the faint lines stand below each layer. */
  #faintUpTo = new Uint32Array();
  #layer = 0;
  #travel = false;
  #fromAbove = false;

  constructor(canvas: HTMLCanvasElement) {
    this.#view = new SpaceView(canvas, () => this.#fitThickLines());
    this.#view.scene.add(this.#below, this.#sheet, this.#overhangs, this.#mark);
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.#view.resize(width, height, pixelRatio);
    this.fit();
  }

  setDrawing(drawing: LayerDrawing): void {
    const before = this.#drawing;
    this.#drawing = drawing;
    this.#drawFaint(drawing);
    if (!before || before.begins.length !== drawing.begins.length) this.fit();
  }

  /** Paints what is unsupported on the part, tinted and hatched; null for not at all. */
  paint(overhangs: OverhangFaces | null): void {
    clear(this.#overhangs);
    if (overhangs) {
      const tint = new MeshBasicMaterial({
        color: new Color(paletteNow().rust.DEFAULT),
        transparent: true,
        opacity: 0.22,
        side: DoubleSide,
        depthWrite: false,
      });
      const faces = new Mesh(geometryOf(overhangs.triangles), tint);
      faces.renderOrder = 4;
      const ink = new LineBasicMaterial({ color: new Color(paletteNow().rust.DEFAULT) });
      const lines = new LineSegments(geometryOf(overhangs.hatching), ink);
      lines.renderOrder = 5;
      this.#overhangs.add(faces, lines);
    }
    this.invalidate();
  }

  /** Rings a place, mm on the bed; null for none. */
  ring(at: readonly [number, number, number] | null): void {
    clear(this.#mark);
    if (at && this.#drawing) {
      const [left, low, right, high] = reachOf(this.#drawing);
      const radius = Math.max(2, Math.hypot(right - left, high - low) / 16);
      const corners = Array.from({ length: RING_CORNERS + 1 }, (_, corner) => {
        const angle = (2 * Math.PI * corner) / RING_CORNERS;
        return [at[0] + radius * Math.cos(angle), at[1] + radius * Math.sin(angle), at[2]] as const;
      });
      const points = corners.slice(1).flatMap((corner, index) => [...corners[index]!, ...corner]);
      const pen = { px: 3, colour: paletteNow().rust.DEFAULT };
      const ring = drawn(new Float32Array(points), pen);
      ring.renderOrder = 6;
      // Seen through what lies over it.
      (ring.material as Material).depthTest = false;
      this.#mark.add(ring);
    }
    this.invalidate();
  }

  show(layer: number, travel: boolean): void {
    this.#layer = layer;
    this.#travel = travel;
    if (this.#drawing) this.#drawSheet(this.#drawing);
  }

  look(fromAbove: boolean): void {
    this.#fromAbove = fromAbove;
    this.fit();
  }

  #drawFaint(drawing: LayerDrawing): void {
    clear(this.#below);
    const { begins, x, y, kind, topMm } = drawing;
    const points: number[] = [];
    this.#faintUpTo = new Uint32Array(begins.length);
    for (let layer = 0; layer + 1 < begins.length; layer += 1) {
      for (let at = begins[layer]! + 1; at < begins[layer + 1]!; at += 1) {
        if (kind[at] !== OUTER) continue;
        points.push(x[at - 1]!, y[at - 1]!, topMm[layer]!, x[at]!, y[at]!, topMm[layer]!);
      }
      this.#faintUpTo[layer + 1] = points.length / 3;
    }
    const material = new LineBasicMaterial({
      color: new Color(paletteNow().slate.line),
      transparent: true,
      opacity: 0.35,
    });
    this.#below.add(new LineSegments(geometryOf(new Float32Array(points)), material));
  }

  #drawSheet(drawing: LayerDrawing): void {
    clear(this.#sheet);
    const { begins, x, y, kind, topMm } = drawing;
    const layer = Math.min(this.#layer, begins.length - 2);
    const z = topMm[layer]!;
    const byKind = new Map<number, number[]>();
    for (let at = begins[layer]! + 1; at < begins[layer + 1]!; at += 1) {
      if (kind[at] === TRAVEL && !this.#travel) continue;
      const points = byKind.get(kind[at]!) ?? [];
      if (points.length === 0) byKind.set(kind[at]!, points);
      points.push(x[at - 1]!, y[at - 1]!, z, x[at]!, y[at]!, z);
    }
    for (const [index, points] of byKind)
      this.#sheet.add(drawn(new Float32Array(points), pensOf(paletteNow())[MOVE_KINDS[index]!]));
    this.#sheet.add(this.#paper(drawing, z));
    const faint = this.#below.children[0] as LineSegments | undefined;
    faint?.geometry.setDrawRange(0, this.#faintUpTo[layer] ?? 0);
    this.invalidate();
  }

  /** Tracing paper under the layer's lines: what lies below shines through. */
  #paper(drawing: LayerDrawing, z: number): Mesh {
    const [left, low, right, high] = reachOf(drawing);
    const margin = 3;
    const material = new MeshBasicMaterial({
      color: new Color(paletteNow().card),
      transparent: true,
      opacity: 0.55,
      depthWrite: false,
    });
    const paper = new Mesh(new PlaneGeometry(right - left + 2 * margin, high - low + 2 * margin), material);
    paper.position.set((left + right) / 2, (low + high) / 2, z - 0.02);
    paper.renderOrder = 1;
    return paper;
  }

  /** The whole job in view. */
  fit(): void {
    if (!this.#drawing) return this.invalidate();
    const [left, low, right, high] = reachOf(this.#drawing);
    const box = new Box3(
      new Vector3(left, low, 0),
      new Vector3(right, high, this.#drawing.topMm.at(-1) ?? 0),
    );
    const towards = this.#fromAbove ? new Vector3(0, -1e-5, 1) : new Vector3(-0.45, -1, 0.85);
    const { width, height } = this.#view.size;
    this.#view.lookAt(box, towards, { x: width / MARGIN, y: height / MARGIN });
  }

  zoom(factor: number): void {
    this.#view.zoom(factor);
  }

  /** Where on the chosen layer a point of the view lies, mm, and how much a pixel is; null if it looks along the layer. */
  placeAt(px: { x: number; y: number }): { x: number; y: number; mmPerPx: number } | null {
    if (!this.#drawing) return null;
    const { camera, size } = this.#view;
    const { width, height } = size;
    const at = new Vector2((2 * px.x) / width - 1, 1 - (2 * px.y) / height);
    const from = new Vector3(at.x, at.y, -1).unproject(camera);
    const way = new Vector3(at.x, at.y, 1).unproject(camera).sub(from);
    if (Math.abs(way.z) < 1e-6) return null;
    const z = this.#drawing.topMm[this.#layer] ?? 0;
    from.addScaledVector(way, (z - from.z) / way.z);
    return { x: from.x, y: from.y, mmPerPx: this.#view.mmPerPx() };
  }

  invalidate(): void {
    this.#view.invalidate();
  }

  /** At once, as it stands. */
  draw(): void {
    this.#view.draw();
  }

  /** Lines that are thicker than a pixel are made for a view of one size. */
  #fitThickLines(): void {
    const { width, height } = this.#view.size;
    this.#view.scene.traverse((object) => {
      const { material } = object as Mesh;
      if (material instanceof LineMaterial) material.resolution.set(width, height);
    });
  }

  /** Turns the look about the upright axis, radians. */
  turn(by: number): void {
    this.#view.turn(by, 0);
  }

  dispose(): void {
    clear(this.#below);
    clear(this.#sheet);
    clear(this.#overhangs);
    clear(this.#mark);
    this.#view.dispose();
  }
}

function drawn(points: Float32Array, { px, colour, dashMm }: Pen) {
  if (px <= 1 || dashMm) {
    const material = dashMm
      ? new LineDashedMaterial({ color: new Color(colour), dashSize: dashMm, gapSize: dashMm })
      : new LineBasicMaterial({ color: new Color(colour) });
    const thin = new LineSegments(geometryOf(points), material);
    if (dashMm) thin.computeLineDistances();
    thin.renderOrder = 2;
    return thin;
  }
  const material = new LineMaterial({ color: new Color(colour).getHex(), linewidth: px });
  const thick = new LineSegments2(new LineSegmentsGeometry().setPositions(points), material);
  thick.renderOrder = 3;
  return thick;
}

function geometryOf(points: Float32Array): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(points, 3));
  return geometry;
}

/** What the part takes of the bed, without what is printed round its first layer. */
function reachOf({ x, y, kind }: LayerDrawing): [number, number, number, number] {
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let at = 0; at < x.length; at += 1) {
    if (kind[at] === TRAVEL || kind[at] === FOOT) continue;
    left = Math.min(left, x[at]!);
    right = Math.max(right, x[at]!);
    low = Math.min(low, y[at]!);
    high = Math.max(high, y[at]!);
  }
  return left > right ? [0, 0, 1, 1] : [left, low, right, high];
}

function clear(group: Group): void {
  for (const child of [...group.children]) {
    const { geometry, material } = child as Mesh;
    geometry.dispose();
    for (const one of [material].flat()) one.dispose();
    group.remove(child);
  }
}

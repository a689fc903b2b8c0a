import {
  BufferAttribute,
  BufferGeometry,
  Group,
  LineSegments,
  Mesh,
  Vector3,
  type InterleavedBufferAttribute,
  type Object3D,
} from 'three';
import type { LineMaterial } from 'three/examples/jsm/lines/LineMaterial.js';
import { LineSegments2 } from 'three/examples/jsm/lines/LineSegments2.js';
import { LineSegmentsGeometry } from 'three/examples/jsm/lines/LineSegmentsGeometry.js';

import type { Vec3 } from '@core/foundations/vectors';
import {
  CUT_TAG,
  movedPoint,
  type CentreLine,
  type Motion,
  type OpenedSolid,
  type SolidMesh,
} from '@core/shaping/part';

import { paletteNow } from '../preferences/benchLight';
import { centreMarks } from './chainLine';
import { faceMaterial, ghostMaterial, inkMaterial, silhouetteMaterial, thinMaterial } from './materials';

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

/** What a drawn thing is, for what is shown when: thin lines stand for ink while a heavy part is turned. */
export type Layer = 'ink' | 'hidden' | 'silhouette' | 'thin';

/** More than so many segments of ink, or triangles, and a part is heavy: fine lines cost more than its faces. */
const HEAVY_SEGMENTS = 4000;
const HEAVY_TRIANGLES = 60_000;

/** Whether bodies are too much to be drawn in full while they are turned. */
export function isHeavy(bodies: readonly SceneBody[]): boolean {
  const meshes = bodies.map(({ opened, mesh }) => opened?.mesh ?? mesh);
  const sum = (of: (mesh: SolidMesh) => number) => meshes.reduce((total, mesh) => total + of(mesh), 0);
  return (
    sum(({ edges }) => edges.length / 6) > HEAVY_SEGMENTS ||
    sum(({ indices }) => indices.length / 3) > HEAVY_TRIANGLES
  );
}

/** Empties a group and frees what its objects hold on the graphics card. */
export function disposeOf(group: Group): void {
  group.traverse((object) => {
    const drawn = object as Partial<Mesh>;
    drawn.geometry?.dispose();
    for (const material of [drawn.material ?? []].flat()) material.dispose();
  });
  group.clear();
}

/** Three short lines through a point. */
export function crossAt([x, y, z]: Vec3, r: number): Float32Array {
  return new Float32Array([x - r, y, z, x + r, y, z, x, y - r, z, x, y + r, z, x, y, z - r, x, y, z + r]);
}

/** Everything that is drawn of one body. `unit` is the size of the whole part, mm. */
export function drawBody(body: SceneBody, unit: number): Group {
  const group = new Group();
  group.name = body.id;
  if (body.moved) place(group, body.moved);
  const mesh = body.opened?.mesh ?? body.mesh;
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
  geometry.setIndex(new BufferAttribute(mesh.indices, 1));
  for (const run of runsOf(mesh)) geometry.addGroup(run.start, run.count, run.isCut ? 1 : 0);
  const faces = body.ghost
    ? [ghostMaterial(), ghostMaterial()]
    : [faceMaterial(paletteNow().putty.DEFAULT), faceMaterial(paletteNow().putty.cut)];
  const ink = body.ghost ? paletteNow().slate.line : paletteNow().ink;
  group.add(new Mesh(geometry, faces));
  if (!body.ghost) group.add(on('silhouette', new Mesh(geometry, silhouetteMaterial(ink, 1.6))));
  group.add(on('ink', lines(mesh.edges, inkMaterial(ink, body.ghost ? 1.2 : 1.7))));
  group.add(on('thin', thinLines(mesh.edges, ink)));
  // A part that is cut open shows its inside already.
  if (!body.ghost && !body.opened) {
    group.add(on('hidden', lines(mesh.edges, inkMaterial(ink, 0.9, 'hidden'))));
  }
  if (body.opened) group.add(lines(body.opened.hatching, inkMaterial(paletteNow().green.DEFAULT, 0.8)));
  if (body.failedTool) {
    const tool = lines(body.failedTool, inkMaterial(paletteNow().rust.DEFAULT, 2, 'over'));
    tool.renderOrder = 2;
    group.add(tool);
  }
  if (!body.ghost) {
    const marks = body.centreLines.flatMap((line) => centreMarks(line, unit * 0.06)).flat(2);
    const centre = lines(new Float32Array(marks), inkMaterial(paletteNow().slate.line, 1, 'over'));
    centre.renderOrder = 2;
    group.add(centre);
  }
  return group;
}

/** Moves what is drawn of a body to other points of the same mesh; its faces keep their shading. */
export function moveDrawn(group: Group, { positions, edges }: Pick<SolidMesh, 'positions' | 'edges'>): void {
  const put = (attribute: BufferAttribute, numbers: Float32Array) => {
    (attribute.array as Float32Array).set(numbers);
    attribute.needsUpdate = true;
  };
  for (const object of group.children) {
    // Lines without a layer are no edges.
    const isEdges = object.userData.layer !== undefined;
    if (object instanceof LineSegments2) {
      if (!isEdges) continue;
      const { data } = object.geometry.attributes.instanceStart as InterleavedBufferAttribute;
      if (edges.length > 0) data.array.set(edges);
      data.needsUpdate = true;
    } else if (object instanceof Mesh || object instanceof LineSegments) {
      const geometry = object.geometry as BufferGeometry;
      put(geometry.attributes.position as BufferAttribute, object instanceof Mesh ? positions : edges);
      geometry.boundingSphere = null;
    }
  }
}

/** Runs of triangles that are drawn alike: a part has many faces, and each run costs a call. */
function runsOf({ faces }: SolidMesh): { start: number; count: number; isCut: boolean }[] {
  const runs: { start: number; count: number; isCut: boolean }[] = [];
  for (const { start, count, tag } of faces) {
    const isCut = tag === CUT_TAG;
    const last = runs.at(-1);
    if (last && last.isCut === isCut && last.start + last.count === start) last.count += count;
    else runs.push({ start, count, isCut });
  }
  return runs;
}

const on = <T extends Object3D>(layer: Layer, object: T): T => {
  object.userData.layer = layer;
  return object;
};

/** Segments a pixel wide, whatever the screen: the cheapest there are. */
function thinLines(segments: Float32Array, colour: string): LineSegments {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(segments, 3));
  return new LineSegments(geometry, thinMaterial(colour));
}

/** Puts what is drawn where a motion takes it. */
function place(group: Group, { motion, far }: NonNullable<SceneBody['moved']>): void {
  const origin = movedPoint([0, 0, 0], motion, far);
  group.position.set(...origin);
  if (motion.by === 'turn') group.quaternion.setFromAxisAngle(new Vector3(...motion.direction), far);
}

export function lines(segments: Float32Array, material: LineMaterial): LineSegments2 {
  const geometry = new LineSegmentsGeometry();
  geometry.setPositions(segments.length > 0 ? segments : new Float32Array(6));
  const object = new LineSegments2(geometry, material);
  if (material.dashed) object.computeLineDistances();
  return object;
}

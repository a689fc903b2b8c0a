import { Mesh, Vector3 } from 'three';

import type { SolidMesh } from '@core/shaping/part';

import { manyTriangles } from '../bench/manyTriangles';
import { drawBody, isHeavy, moveDrawn, type Layer, type SceneBody } from './drawnBody';

const mesh: SolidMesh = {
  positions: new Float32Array(27),
  normals: new Float32Array(27),
  indices: new Uint32Array([0, 1, 2, 3, 4, 5, 6, 7, 8]),
  faces: [
    { start: 0, count: 3, tag: 'a:top' },
    { start: 3, count: 3, tag: 'a:side' },
    { start: 6, count: 3, tag: 'cut' },
  ],
  edges: new Float32Array(12),
  edgeRuns: [],
};
const body = (more: Partial<SceneBody> = {}): SceneBody => ({
  id: 'b',
  ghost: false,
  mesh,
  opened: null,
  centreLines: [],
  failedTool: null,
  ...more,
});
const layersOf = (shown: SceneBody) =>
  drawBody(shown, 1).children.flatMap(({ userData }) => (userData.layer as Layer | undefined) ?? []);

test('faces that look alike are drawn in one go, cut ones by themselves', () => {
  const faces = drawBody(body(), 1).children.find((object) => object instanceof Mesh) as Mesh;
  expect(faces.geometry.groups).toEqual([
    { start: 0, count: 6, materialIndex: 0 },
    { start: 6, count: 3, materialIndex: 1 },
  ]);
});

test('a ghost has no silhouette and no hidden edges, a part that is cut open no hidden edges', () => {
  expect(layersOf(body())).toEqual(['silhouette', 'ink', 'thin', 'hidden']);
  expect(layersOf(body({ ghost: true }))).toEqual(['ink', 'thin']);
  const opened = { mesh, hatching: new Float32Array(6), cutAreaMm2: 1 };
  expect(layersOf(body({ opened }))).toEqual(['silhouette', 'ink', 'thin']);
});

test('what is drawn of a body goes to other points of its mesh, faces and every kind of line', () => {
  const group = drawBody(
    body({
      // What is no edge stays where it is.
      centreLines: [{ from: [0, 0, 0], to: [0, 0, 5], radius: 2 }],
      mesh: { ...mesh, positions: mesh.positions.slice(), edges: mesh.edges.slice() },
    }),
    1,
  );
  const positions = Float32Array.from({ length: 27 }, (_, at) => at);
  const edges = Float32Array.from({ length: 12 }, (_, at) => -at);
  moveDrawn(group, { positions, edges });
  const numbersOf = (layer: Layer | undefined, name: string) => {
    const object = group.children.find(({ userData }) => userData.layer === layer) as Mesh;
    const attribute = object.geometry.attributes[name]!;
    return 'data' in attribute ? attribute.data.array : attribute.array;
  };
  expect(numbersOf(undefined, 'position')).toEqual(positions);
  expect(numbersOf('silhouette', 'position')).toEqual(positions);
  expect(numbersOf('thin', 'position')).toEqual(edges);
  expect(numbersOf('ink', 'instanceStart')).toEqual(edges);
  expect(numbersOf('hidden', 'instanceEnd')).toEqual(edges);
});

test('a body is drawn where a motion takes it', () => {
  const turned = body({
    moved: { motion: { by: 'turn', at: [10, 0, 0], direction: [0, 0, 1] }, far: Math.PI / 2 },
  });
  const group = drawBody(turned, 1);
  group.updateMatrix();
  // Ten to the left of the axis, a quarter turn on: ten before it.
  const origin = new Vector3(0, 0, 0).applyMatrix4(group.matrix);
  [10, -10, 0].forEach((mm, axis) => expect(origin.getComponent(axis)).toBeCloseTo(mm, 9));
});

test('100,000 triangles are heavy, and a usual part is not', () => {
  const many = manyTriangles();
  expect(many.indices.length / 3).toBe(100_000);
  expect(isHeavy([body({ mesh: many })])).toBe(true);
  expect(isHeavy([body(), body()])).toBe(false);
});

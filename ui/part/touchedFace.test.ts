import type { Picked, SolidMesh } from '@core/shaping/part';

import { touchedFace } from './touchedFace';

type Point = [number, number, number];
/** A face of triangles, each corner with its own normal. */
function meshOf(triangles: [Point, Point, Point][], normals: Point[]): SolidMesh {
  const points = triangles.flat();
  return {
    positions: new Float32Array(points.flat()),
    normals: new Float32Array(points.flatMap((_, at) => normals[at % normals.length]!)),
    indices: new Uint32Array(points.map((_, at) => at)),
    faces: [{ start: 0, count: points.length, tag: 'f' }],
    edges: new Float32Array(),
    edgeRuns: [],
  } as unknown as SolidMesh;
}
const TAPPED: Extract<Picked, { kind: 'face' }> = { kind: 'face', tag: 'f' as never, near: [7, 1, 5] };
const UP: Point = [0, 0, 1];
const square = (from: number, to: number, low: number, high: number): [Point, Point, Point][] => [
  [
    [from, low, 5],
    [to, low, 5],
    [to, high, 5],
  ],
  [
    [from, low, 5],
    [to, high, 5],
    [from, high, 5],
  ],
];
/** A square frame, 20 outside and 12 inside. */
const FRAME = [
  ...square(-10, 10, -10, -6),
  ...square(-10, 10, 6, 10),
  ...square(-10, -6, -6, 6),
  ...square(6, 10, -6, 6),
];

test('a whole level face has its middle; of a frame the place that was tapped counts', () => {
  expect(touchedFace(meshOf(square(-10, 10, -4, 4), [UP]), TAPPED)).toEqual({ isFlat: true, at: null });
  expect(touchedFace(meshOf(FRAME, [UP]), TAPPED)).toEqual({ isFlat: true, at: [7, 1] });
});

test('a frame that looks to a side is flat, and stood on in its middle; a round face is not flat', () => {
  expect(touchedFace(meshOf(FRAME, [[0, -1, 0]]), TAPPED)).toEqual({ isFlat: true, at: null });
  const round: Point[] = [UP, [0, 0.6, 0.8], [0, 0.8, 0.6]];
  expect(touchedFace(meshOf(FRAME, round), TAPPED)).toEqual({ isFlat: false, at: null });
});

test('a face that is not there any more is nothing to stand on', () => {
  const gone = { ...TAPPED, tag: 'gone' as never };
  expect(touchedFace(meshOf(FRAME, [UP]), gone)).toEqual({ isFlat: false, at: null });
});

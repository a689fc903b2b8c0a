import { flat, round, TOWARDS, type SolidMesh } from '@core/shaping/part';

/** Points of the depth picture along its longer side. */
const GRID = 900;
/** What lies behind by less than this share of the part is on the surface, not hidden by it. */
const HAIR = 0.004;
/** A smooth edge of the mesh is no silhouette unless its triangles are this steep to each other; facets of one flat face are 0. */
const LEAST_TURN = 1e-4;
/** Ends of lines that are nearer than this are one. */
const SAME_PLACE_MM = 1e-4;

/**
 * What is seen of a solid's edges and silhouettes, by its mesh: lines are walked along and held against a picture of depths. Less
 * exact than the kernel's own hidden-line removal, by about a five-hundredth of the part; a thread, which takes that minutes, is drawn
 * in a moment.
 *
 * @returns polylines on the picture's plane, mm: x0, y0, x1, y1, …
 */
export function seenOnMesh(mesh: SolidMesh): number[][] {
  const depths = depthPicture(mesh);
  const runs = [
    ...mesh.edgeRuns.map(({ start, count }) => chained(mesh.edges.subarray(6 * start, 6 * (start + count)))),
    ...silhouettes(mesh).map((segment) => [segment]),
  ];
  return runs.flatMap((run) => seenPieces(run, depths));
}

type Point3 = readonly [number, number, number];
type Segment = readonly [Point3, Point3];

interface Depths {
  left: number;
  low: number;
  /** mm a point of the picture. */
  step: number;
  columns: number;
  rows: number;
  /** The depth of what is nearest, mm towards the viewer. */
  nearest: Float32Array;
  hairMm: number;
}

const depthOf = ([x, y, z]: Point3): number => x * TOWARDS[0] + y * TOWARDS[1] + z * TOWARDS[2];
const at = (of: Float32Array, index: number): Point3 => [
  of[3 * index]!,
  of[3 * index + 1]!,
  of[3 * index + 2]!,
];

function chained(edges: Float32Array): Segment[] {
  return Array.from({ length: edges.length / 6 }, (_, index) => [
    at(edges, 2 * index),
    at(edges, 2 * index + 1),
  ]);
}

function depthPicture({ positions, indices }: SolidMesh): Depths {
  const points = Array.from({ length: positions.length / 3 }, (_, index) => flat(...at(positions, index)));
  const depths = points.map((_, index) => depthOf(at(positions, index)));
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, low] = [least(xs), least(ys)];
  const [width, height] = [-least(xs.map((x) => -x)) - left, -least(ys.map((y) => -y)) - low];
  const extent = Math.max(width, height) || 1;
  const step = extent / GRID;
  const [columns, rows] = [Math.ceil(width / step) + 3, Math.ceil(height / step) + 3];
  const nearest = new Float32Array(columns * rows).fill(-Infinity);
  for (let index = 0; index < indices.length; index += 3) {
    const corners = [indices[index]!, indices[index + 1]!, indices[index + 2]!] as const;
    const [[ax, ay], [bx, by], [cx, cy]] = corners.map((corner) => {
      const [x, y] = points[corner]!;
      return [(x - left) / step + 1, (y - low) / step + 1] as const;
    }) as [[number, number], [number, number], [number, number]];
    const twice = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    // What looks away hides nothing that is not hidden already.
    if (twice <= 0) continue;
    const [da, db, dc] = corners.map((corner) => depths[corner]!) as [number, number, number];
    for (let y = Math.ceil(Math.min(ay, by, cy)); y <= Math.max(ay, by, cy); y += 1) {
      for (let x = Math.ceil(Math.min(ax, bx, cx)); x <= Math.max(ax, bx, cx); x += 1) {
        const b = ((x - ax) * (cy - ay) - (y - ay) * (cx - ax)) / twice;
        const c = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / twice;
        if (b < 0 || c < 0 || b + c > 1) continue;
        const depth = da + b * (db - da) + c * (dc - da);
        const place = y * columns + x;
        if (depth > nearest[place]!) nearest[place] = depth;
      }
    }
  }
  return { left, low, step, columns, rows, nearest, hairMm: HAIR * extent };
}

const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b), Infinity);

/** Edges of the mesh within a face where it turns away from the viewer. */
function silhouettes({ positions, indices, faces }: SolidMesh): Segment[] {
  const found: Segment[] = [];
  for (const { start, count } of faces) {
    const sides = new Map<string, { from: number; to: number; facing: number }>();
    for (let index = start; index < start + count; index += 3) {
      const corners = [indices[index]!, indices[index + 1]!, indices[index + 2]!];
      const facing = facingOf(corners.map((corner) => at(positions, corner)) as [Point3, Point3, Point3]);
      corners.forEach((from, side) => {
        const to = corners[(side + 1) % 3]!;
        const other = sides.get(`${to} ${from}`);
        if (!other) sides.set(`${from} ${to}`, { from, to, facing });
        else if (other.facing > 0 !== facing > 0 && Math.abs(other.facing - facing) > LEAST_TURN)
          found.push([at(positions, from), at(positions, to)]);
      });
    }
  }
  return found;
}

/** The cosine of a triangle's normal to the viewer. */
function facingOf([a, b, c]: readonly [Point3, Point3, Point3]): number {
  const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
  const normal: Point3 = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  return depthOf(normal) / (Math.hypot(...normal) || 1);
}

/** The runs of a line that are not behind anything. */
function seenPieces(run: readonly Segment[], depths: Depths): number[][] {
  const pieces: number[][] = [];
  let piece: number[] = [];
  const end = () => {
    if (piece.length >= 4) pieces.push(piece);
    piece = [];
  };
  let last: Point3 | null = null;
  for (const [from, to] of run) {
    if (last && Math.hypot(from[0] - last[0], from[1] - last[1], from[2] - last[2]) > SAME_PLACE_MM) end();
    last = to;
    const [a, b] = [flat(...from), flat(...to)];
    const parts = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / (4 * depths.step)));
    for (let part = 0; part < parts; part += 1) {
      const middle = (part + 0.5) / parts;
      if (!isSeen(between(from, to, middle), depths)) {
        end();
        continue;
      }
      const [start, stop] = [between(from, to, part / parts), between(from, to, (part + 1) / parts)];
      if (piece.length === 0) piece.push(...rounded(start));
      // A straight line needs its ends alone.
      else if (part > 0) piece.splice(-2);
      piece.push(...rounded(stop));
    }
  }
  end();
  return pieces;
}

const rounded = (point: Point3) => flat(...point).map(round);

const between = (a: Point3, b: Point3, share: number): Point3 => [
  a[0] + share * (b[0] - a[0]),
  a[1] + share * (b[1] - a[1]),
  a[2] + share * (b[2] - a[2]),
];

/** Seen if it is in front of what is nearest in one of the nine places about it. */
function isSeen(point: Point3, { left, low, step, columns, rows, nearest, hairMm }: Depths): boolean {
  const [x, y] = flat(...point);
  const [column, row] = [Math.round((x - left) / step) + 1, Math.round((y - low) / step) + 1];
  const depth = depthOf(point) + hairMm;
  for (let dy = -1; dy <= 1; dy += 1) {
    for (let dx = -1; dx <= 1; dx += 1) {
      const [c, r] = [column + dx, row + dy];
      if (c < 0 || r < 0 || c >= columns || r >= rows || depth >= nearest[r * columns + c]!) return true;
    }
  }
  return false;
}

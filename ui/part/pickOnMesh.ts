import { joinedFloats } from '@core/foundations/floats';
import { eachAxis, type Vec3 } from '@core/foundations/vectors';
import type { Picked, SolidMesh } from '@core/shaping/part';

/** A point of the view, px. */
interface Point {
  x: number;
  y: number;
}

/** A finger is not exact: edges within this of it are meant, px. */
const REACH_PX = 16;

/** Corners have to be hit better than edges, px: there is one at each end of an edge. */
const CORNER_PX = 11;

type EdgeHit = Extract<Picked, { kind: 'edge' }> & { px: number; depth: number };

/**
 * The edge that a tap means: of those within a finger's reach that can be seen, the one nearest to it on the screen, and
 * of those at the same place the one in front.
 *
 * @param project a point of the model to the view; `depth` grows away from the viewer.
 * @param isSeen whether nothing is in front of a point.
 */
export function edgeAt(
  mesh: SolidMesh,
  tap: Point,
  project: (point: Vec3) => Point & { depth: number },
  isSeen: (point: Vec3) => boolean = () => true,
): EdgeHit | null {
  const hits = mesh.edgeRuns.flatMap((run) => nearestOfRun(mesh, run, tap, project) ?? []);
  // Less than a few pixels apart, what is in front decides.
  hits.sort((a, b) => (Math.abs(a.px - b.px) < 3 ? a.depth - b.depth : a.px - b.px));
  return hits.find(({ near }) => isSeen(near)) ?? null;
}

/** The corner that a tap means: an end of an edge, near to it on the screen, that can be seen; of several the nearest. */
export function cornerAt(
  mesh: SolidMesh,
  tap: Point,
  project: (point: Vec3) => Point & { depth: number },
  isSeen: (point: Vec3) => boolean = () => true,
): Picked | null {
  const hits = cornersOf(mesh).flatMap((near) => {
    const { x, y, depth } = project(near);
    const px = Math.hypot(tap.x - x, tap.y - y);
    return px > CORNER_PX ? [] : [{ near, px, depth }];
  });
  hits.sort((a, b) => (Math.abs(a.px - b.px) < 3 ? a.depth - b.depth : a.px - b.px));
  const found = hits.find(({ near }) => isSeen(near));
  return found ? { kind: 'corner', near: found.near } : null;
}

/** The ends of all edges that do not come back to where they began, each once. */
function cornersOf({ edges, edgeRuns }: SolidMesh): Vec3[] {
  const corners = new Map<string, Vec3>();
  for (const { start, count } of edgeRuns) {
    const ends = [6 * start, 6 * (start + count - 1) + 3];
    const [first, last] = ends.map((at) => keyOf(edges, at));
    if (first === last) continue;
    for (const at of ends) corners.set(keyOf(edges, at), [edges[at]!, edges[at + 1]!, edges[at + 2]!]);
  }
  return [...corners.values()];
}

function nearestOfRun(
  mesh: SolidMesh,
  run: SolidMesh['edgeRuns'][number],
  tap: Point,
  project: (point: Vec3) => Point & { depth: number },
): EdgeHit | null {
  let best: EdgeHit | null = null;
  for (let segment = run.start; segment < run.start + run.count; segment += 1) {
    const at = 6 * segment;
    const from: Vec3 = [mesh.edges[at]!, mesh.edges[at + 1]!, mesh.edges[at + 2]!];
    const to: Vec3 = [mesh.edges[at + 3]!, mesh.edges[at + 4]!, mesh.edges[at + 5]!];
    const [a, b] = [project(from), project(to)];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const square = dx * dx + dy * dy;
    const share =
      square === 0 ? 0 : Math.max(0, Math.min(1, ((tap.x - a.x) * dx + (tap.y - a.y) * dy) / square));
    const px = Math.hypot(tap.x - a.x - share * dx, tap.y - a.y - share * dy);
    if (px > REACH_PX || (best && px >= best.px)) continue;
    const depth = a.depth + share * (b.depth - a.depth);
    const near = eachAxis((axis) => from[axis] + share * (to[axis] - from[axis]));
    best = { kind: 'edge', tags: run.tags, near, px, depth };
  }
  return best;
}

/** The segments of an edge that was picked: of several between the same two faces, the one nearest to the tap. */
export function segmentsOf(mesh: SolidMesh, { tags, near }: Extract<Picked, { kind: 'edge' }>): Float32Array {
  const runs = mesh.edgeRuns.filter(
    (run) =>
      (run.tags[0] === tags[0] && run.tags[1] === tags[1]) ||
      (run.tags[0] === tags[1] && run.tags[1] === tags[0]),
  );
  const away = ({ start, count }: (typeof runs)[number]) => {
    let best = Infinity;
    for (let at = 6 * start; at < 6 * (start + count); at += 3) {
      const [x, y, z] = [mesh.edges[at]!, mesh.edges[at + 1]!, mesh.edges[at + 2]!];
      best = Math.min(best, Math.hypot(x - near[0], y - near[1], z - near[2]));
    }
    return best;
  };
  const [nearest] = runs.map((run) => ({ run, mm: away(run) })).sort((a, b) => a.mm - b.mm);
  return nearest
    ? mesh.edges.slice(6 * nearest.run.start, 6 * (nearest.run.start + nearest.run.count))
    : new Float32Array();
}

/** The segments round a face that was picked: of several with its tag, the one nearest to the tap. */
export function rimOf(mesh: SolidMesh, { tag, near }: Extract<Picked, { kind: 'face' }>): Float32Array {
  const faces = mesh.faces.filter((face) => face.tag === tag);
  const [nearest] = faces
    .map((face) => ({ face, mm: awayFrom(mesh, face, near) }))
    .sort((a, b) => a.mm - b.mm);
  if (!nearest) return new Float32Array();
  const corners = new Set<string>();
  const { start, count } = nearest.face;
  for (let at = start; at < start + count; at += 1) corners.add(keyOf(mesh.positions, 3 * mesh.indices[at]!));
  const runs = mesh.edgeRuns.filter((run) => {
    const [first, last] = [6 * run.start, 6 * (run.start + run.count - 1) + 3];
    // Where one face has the tag, its edges are known by it; copies of a face are told apart by their corners.
    return (
      run.tags.includes(tag) &&
      (faces.length === 1 || (corners.has(keyOf(mesh.edges, first)) && corners.has(keyOf(mesh.edges, last))))
    );
  });
  return joinedFloats(runs.map((run) => mesh.edges.subarray(6 * run.start, 6 * (run.start + run.count))));
}

/** A point to a hundredth of a millimetre, as a key. */
const keyOf = (points: Float32Array, at: number) =>
  [points[at]!, points[at + 1]!, points[at + 2]!].map((mm) => Math.round(mm * 100)).join();

/** How far the middles of a face's triangles are from a point, mm. */
function awayFrom(
  { positions, indices }: SolidMesh,
  { start, count }: SolidMesh['faces'][number],
  near: Vec3,
) {
  let best = Infinity;
  for (let at = start; at < start + count; at += 3) {
    const middle = [0, 1, 2].map(
      (axis) =>
        (positions[3 * indices[at]! + axis]! +
          positions[3 * indices[at + 1]! + axis]! +
          positions[3 * indices[at + 2]! + axis]!) /
        3,
    );
    best = Math.min(best, Math.hypot(...middle.map((mm, axis) => mm - near[axis]!)));
  }
  return best;
}

/** What a tap may take hold of. */
export type Pickable = Picked['kind'];

/** Every face, edge or corner of a mesh once, for those who step through them with keys: its middle stands for where it is. */
export function pickables(mesh: SolidMesh, kind: Pickable): Picked[] {
  if (kind === 'corner') return cornersOf(mesh).map((near) => ({ kind, near }));
  if (kind === 'edge') {
    return mesh.edgeRuns.map(({ start, count, tags }): Picked => {
      const at = 6 * (start + Math.floor(count / 2));
      return { kind, tags, near: [mesh.edges[at]!, mesh.edges[at + 1]!, mesh.edges[at + 2]!] };
    });
  }
  return mesh.faces.map(({ start, tag }): Picked => {
    const corner = 3 * mesh.indices[start]!;
    return {
      kind,
      tag,
      near: [mesh.positions[corner]!, mesh.positions[corner + 1]!, mesh.positions[corner + 2]!],
    };
  });
}

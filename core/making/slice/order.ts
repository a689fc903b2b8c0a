import type { LayerPath, PathKind } from './paths';

/** What is printed first: what others lean on, then the walls from the inside out, so that they hang on to something, then what fills them. */
const RANK: Record<PathKind, number> = {
  foot: 0,
  support: 1,
  supportFace: 1,
  innerWall: 2,
  outerWall: 3,
  thinWall: 4,
  gap: 4,
  bridge: 5,
  skin: 6,
  fill: 7,
};

/**
 * The lines of a layer in the order in which they are printed: rank by rank, each time the nearest next; open ones from their nearer end. Closed ones
 * keep their beginning, which is where the seam is.
 *
 * @param from where the nozzle stands, mm.
 */
export function ordered(paths: readonly LayerPath[], from: readonly [number, number]): LayerPath[] {
  const order: LayerPath[] = [];
  let [x, y] = from;
  for (const rank of new Set(paths.map(({ kind }) => RANK[kind]).sort((a, b) => a - b))) {
    const left = paths.filter(({ kind }) => RANK[kind] === rank);
    while (left.length > 0) {
      let nearest = 0;
      let backwards = false;
      let best = Infinity;
      for (let index = 0; index < left.length; index += 1) {
        const { points, closed } = left[index]!;
        const toStart = (points[0]! - x) ** 2 + (points[1]! - y) ** 2;
        if (toStart < best) [best, nearest, backwards] = [toStart, index, false];
        if (closed) continue;
        const last = points.length - 2;
        const toEnd = (points[last]! - x) ** 2 + (points[last + 1]! - y) ** 2;
        if (toEnd < best) [best, nearest, backwards] = [toEnd, index, true];
      }
      const path = backwards ? reversed(left[nearest]!) : left[nearest]!;
      left[nearest] = left[left.length - 1]!;
      left.pop();
      order.push(path);
      const end = path.closed ? 0 : path.points.length - 2;
      [x, y] = [path.points[end]!, path.points[end + 1]!];
    }
  }
  return order;
}

function reversed(path: LayerPath): LayerPath {
  const points = new Float64Array(path.points.length);
  for (let at = 0; at < points.length; at += 2) {
    points[at] = path.points[points.length - 2 - at]!;
    points[at + 1] = path.points[points.length - 1 - at]!;
  }
  const width = typeof path.width === 'number' ? path.width : path.width.slice().reverse();
  return { ...path, points, width };
}

/** Turns sharper than this are corners, radians. */
const CORNER = 0.5;

/**
 * A closed line that begins where its seam shows least: in the deepest inside corner, else at the sharpest outside one, else at the back.
 */
export function withSeam(path: LayerPath): LayerPath {
  const { points } = path;
  const count = points.length / 2;
  let best = 0;
  let bestScore = -Infinity;
  for (let at = 0; at < count; at += 1) {
    const before = 2 * ((at + count - 1) % count);
    const after = 2 * ((at + 1) % count);
    const [ax, ay] = [points[2 * at]! - points[before]!, points[2 * at + 1]! - points[before + 1]!];
    const [bx, by] = [points[after]! - points[2 * at]!, points[after + 1]! - points[2 * at + 1]!];
    // To the right is into a corner of the solid, which lies to the left.
    const turn = Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
    const corner = turn < -CORNER ? 20 - turn : turn > CORNER ? 10 + turn : 0;
    // Among equal ones the one farthest back; a millionth of a mm tells them apart, whatever the corner.
    const score = corner + points[2 * at + 1]! * 1e-4 + points[2 * at]! * 1e-6;
    if (score > bestScore) [best, bestScore] = [at, score];
  }
  if (best === 0) return path;
  const turned = new Float64Array(points.length);
  turned.set(points.subarray(2 * best));
  turned.set(points.subarray(0, 2 * best), points.length - 2 * best);
  return { ...path, points: turned };
}

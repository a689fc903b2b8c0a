import type { SolvedCurve } from '@core/shaping/drawn';
import { plainCurve, polygonOf } from '@core/shaping/outline';

type Place = readonly [x: number, y: number];

/** What of the plane the board shows: what lies in its middle, mm, and how many pixels a millimetre has. */
export interface BoardView {
  middle: Place;
  scale: number;
  width: number;
  height: number;
}

/** Room round the drawing for fingers and words, px. */
const MARGIN = 56;
/** What an empty board shows, mm across. */
const EMPTY_MM = 60;
const [LEAST_SCALE, MOST_SCALE] = [0.2, 400];

/** All of a drawing in view. */
export function fitted(places: readonly Place[], width: number, height: number): BoardView {
  const along = (axis: 0 | 1) => places.map((place) => place[axis]);
  const [left, right] = [Math.min(0, ...along(0)), Math.max(0, ...along(0))];
  const [bottom, top] = [Math.min(0, ...along(1)), Math.max(0, ...along(1))];
  const isEmpty = places.length < 2;
  const [spanX, spanY] = isEmpty ? [EMPTY_MM, EMPTY_MM] : [right - left, top - bottom];
  const scale = Math.min(
    Math.max(width - 2 * MARGIN, 20) / Math.max(spanX, 1e-6),
    Math.max(height - 2 * MARGIN, 20) / Math.max(spanY, 1e-6),
  );
  return {
    middle: isEmpty ? [0, 0] : [(left + right) / 2, (bottom + top) / 2],
    scale: Math.min(MOST_SCALE, Math.max(LEAST_SCALE, scale)),
    width,
    height,
  };
}

export const toPx = ({ middle, scale, width, height }: BoardView, [x, y]: Place): [number, number] => [
  width / 2 + (x - middle[0]) * scale,
  height / 2 - (y - middle[1]) * scale,
];
export const toMm = ({ middle, scale, width, height }: BoardView, [px, py]: Place): [number, number] => [
  middle[0] + (px - width / 2) / scale,
  middle[1] - (py - height / 2) / scale,
];

/** On a board of another size: what is drawn stays where it is under the finger, as far from the upper left corner as before. */
export const resized = (view: BoardView, width: number, height: number): BoardView => ({
  ...view,
  width,
  height,
  middle: [
    view.middle[0] + (width - view.width) / 2 / view.scale,
    view.middle[1] - (height - view.height) / 2 / view.scale,
  ],
});

/** Moved along by pixels. */
export const panned = (view: BoardView, dx: number, dy: number): BoardView => ({
  ...view,
  middle: [view.middle[0] - dx / view.scale, view.middle[1] + dy / view.scale],
});

/** Made larger about a place on the board, px. */
export function zoomed(view: BoardView, by: number, about: Place): BoardView {
  const scale = Math.min(MOST_SCALE, Math.max(LEAST_SCALE, view.scale * by));
  const [x, y] = toMm(view, about);
  const next = { ...view, scale };
  const [nx, ny] = toMm(next, about);
  return { ...next, middle: [next.middle[0] + x - nx, next.middle[1] + y - ny] };
}

/** Short lines that an arc, or what is round, is looked at as. */
const PIECES = 32;

/** A curve as places that follow it, mm, its end too: for the screen, and for what is near a finger. */
export function pointsAlong(curve: SolvedCurve): Place[] {
  const along: Place[] = polygonOf([plainCurve(curve)], PIECES);
  const isClosed =
    curve.kind === 'circle' || curve.kind === 'ellipse' || (curve.kind === 'spline' && curve.closed);
  const end = isClosed ? along[0] : curve.kind === 'spline' ? curve.points.at(-1) : curve.to;
  return end ? [...along, end] : along;
}

/** The middle of a curve as it is drawn, and which way is square to it there. */
export function middleOf(curve: SolvedCurve): { at: Place; square: Place } {
  const points = pointsAlong(curve);
  if (curve.kind === 'line') {
    const [[ax, ay], [bx, by]] = [curve.from, curve.to];
    const length = Math.hypot(bx - ax, by - ay) || 1;
    return { at: [(ax + bx) / 2, (ay + by) / 2], square: [-(by - ay) / length, (bx - ax) / length] };
  }
  const at = curve.kind === 'arc' ? curve.via : points[Math.floor(points.length / 8)]!;
  const middle: Place = 'middle' in curve ? curve.middle : points[0]!;
  const length = Math.hypot(at[0] - middle[0], at[1] - middle[1]) || 1;
  return { at, square: [(at[0] - middle[0]) / length, (at[1] - middle[1]) / length] };
}

/** Fingers reach this far, px. */
const POINT_REACH = 24;
const CURVE_REACH = 16;

export type Hit = { point: string; curve?: never } | { point?: never; curve: string } | null;

/** How far the tips of the arrows on what still moves stand off their points, px. */
export const ARROW_PX = 34;

/** Tips of the arrows of a point that has one way left, px. */
export const arrowTips = ([x, y]: Place, way: Place): [Place, Place] => [
  [x + ARROW_PX * way[0], y - ARROW_PX * way[1]],
  [x - ARROW_PX * way[0], y + ARROW_PX * way[1]],
];

/** The point under a finger, or else the curve, or the point whose arrow is there. */
export function hitAt(
  at: Place,
  view: BoardView,
  points: readonly (readonly [string, Place])[],
  curves: readonly SolvedCurve[],
  moves: ReadonlyMap<string, Place | 'anyWay'> = new Map(),
): Hit {
  const nearest = (places: readonly { point: string; px: Place }[], reach: number): Hit => {
    let best: { hit: Hit; off: number } = { hit: null, off: reach };
    for (const { point, px } of places) {
      const off = Math.hypot(px[0] - at[0], px[1] - at[1]);
      if (off < best.off) best = { hit: { point }, off };
    }
    return best.hit;
  };
  const onPoint = nearest(
    points.map(([point, place]) => ({ point, px: toPx(view, place) })),
    POINT_REACH,
  );
  if (onPoint) return onPoint;
  const curve = curveNear(toMm(view, at), curves, CURVE_REACH / view.scale);
  if (curve !== null) return { curve };
  const tips = points.flatMap(([point, place]) => {
    const way = moves.get(point);
    return way && way !== 'anyWay' ? arrowTips(toPx(view, place), way).map((px) => ({ point, px })) : [];
  });
  return nearest(tips, CURVE_REACH);
}

/** The curve that is nearest to a place, mm; null if none is within reach. */
export function curveNear(at: Place, curves: readonly SolvedCurve[], reachMm: number): string | null {
  let best: { id: string | null; off: number } = { id: null, off: reachMm };
  for (const curve of curves) {
    const off = runNear(at, curve);
    if (off < best.off) best = { id: curve.id, off };
  }
  return best.id;
}

/** How far a place is from a curve as it is drawn, mm. */
export function runNear(at: Place, curve: SolvedCurve): number {
  const run = pointsAlong(curve);
  let least = Infinity;
  for (let index = 1; index < run.length; index += 1)
    least = Math.min(least, fromSegment(at, run[index - 1]!, run[index]!));
  return least;
}

function fromSegment([x, y]: Place, [ax, ay]: Place, [bx, by]: Place): number {
  const [dx, dy] = [bx - ax, by - ay];
  const square = dx * dx + dy * dy;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / square));
  return Math.hypot(ax + t * dx - x, ay + t * dy - y);
}

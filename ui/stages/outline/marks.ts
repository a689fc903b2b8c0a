import type { DrawnOutline } from '@core/foundations/fields';
import type { StudiedDrawing } from '@core/shaping/drawn';

import { middleOf, toPx, type BoardView } from './boardView';

type Place = readonly [x: number, y: number];
type Relation = DrawnOutline['relations'][number];
type Dimension = NonNullable<DrawnOutline['dimensions']>[number];

/** Where a mark stands on the board, px. */
export interface Mark<T> {
  of: T;
  x: number;
  y: number;
}

/** How far marks stand off what they belong to, and from each other, px. */
const SIGN_OFF = 17;
const CHIP_OFF = 24;
const SIGN_ROOM = 19;
const SIGN_SHARE = 0.28;

const share = ([ax, ay]: Place, [bx, by]: Place, part: number): Place => [
  ax + part * (bx - ax),
  ay + part * (by - ay),
];

/** Where relations have their signs: beside the first curve, or the first point, that each names. */
export function relationMarks(
  outline: DrawnOutline,
  studied: StudiedDrawing,
  view: BoardView,
): Mark<Relation>[] {
  const taken: Place[] = [];
  return outline.relations.flatMap((relation) => {
    const off = offOf(relation, outline, studied, view, -SIGN_OFF);
    return off ? [{ of: relation, ...free(off, taken, SIGN_ROOM) }] : [];
  });
}

/** Where dimensions have their chips. */
export function dimensionMarks(
  outline: DrawnOutline,
  studied: StudiedDrawing,
  view: BoardView,
): Mark<Dimension>[] {
  const taken: Place[] = [];
  return (outline.dimensions ?? []).flatMap((dimension) => {
    const off = offOf(dimension, outline, studied, view, CHIP_OFF);
    return off ? [{ of: dimension, ...free(off, taken, 30) }] : [];
  });
}

/** Beside what a relation or a dimension names. */
function offOf(
  one: Relation | Dimension,
  outline: DrawnOutline,
  { curves, points }: StudiedDrawing,
  view: BoardView,
  px: number,
): Place | null {
  const beside = (id: string): Place | null => {
    const curve = curves.find((other) => other.id === id);
    if (!curve) return null;
    const { at: half, square } = middleOf(curve);
    // Signs stand before the middle of a line, where its size has its chip and a finger picks it.
    const at: Place = curve.kind === 'line' && px < 0 ? share(curve.from, curve.to, SIGN_SHARE) : half;
    const [x, y] = toPx(view, at);
    return [x + reach(px, square[0]) * square[0], y - reach(px, square[0]) * square[1]];
  };
  const half = (a: Place, b: Place): Place => {
    const [p, q] = [toPx(view, a), toPx(view, b)];
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    const [nx, ny] = [(q[1] - p[1]) / length, -(q[0] - p[0]) / length];
    return [(p[0] + q[0]) / 2 + reach(px, nx) * nx, (p[1] + q[1]) / 2 + reach(px, nx) * ny];
  };
  if ('curves' in one) return beside(one.kind === 'angle' ? one.curves[1] : one.curves[0]);
  if (one.kind === 'fromLine' || one.kind === 'across') {
    const [point, curve] = [points.get(one.point), curves.find((other) => other.id === one.curve)];
    if (!point || curve?.kind !== 'line') return null;
    return half(point, footOn(point, curve.from, curve.to));
  }
  if ('curve' in one) return beside(one.curve);
  if ('points' in one) {
    const [a, b] = [points.get(one.points[0]), points.get(one.points[1])];
    if (!a || !b) return null;
    const line = outline.curves.findIndex(
      (curve) => curve.kind === 'line' && one.points.includes(curve.from) && one.points.includes(curve.to),
    );
    return line >= 0 && px < 0 ? beside(outline.curves[line]!.id ?? String(line)) : half(a, b);
  }
  const at = points.get(one.point);
  if (!at) return null;
  const [x, y] = toPx(view, at);
  return [x - SIGN_OFF, y + SIGN_OFF];
}

/** A chip is wider than it is high: beside something upright it stands further off. */
const reach = (px: number, across: number) => (px > 0 ? px + 18 * Math.abs(across) : px);

/** Where a point square to a line meets it. */
export function footOn([x, y]: Place, [ax, ay]: Place, [bx, by]: Place): Place {
  const [dx, dy] = [bx - ax, by - ay];
  const t = ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1);
  return [ax + t * dx, ay + t * dy];
}

/** A place near one that is wanted, where no other stands. */
function free([x, y]: Place, taken: Place[], room: number): { x: number; y: number } {
  for (let ring = 0; ring < 8; ring += 1)
    for (const turn of ring === 0 ? [0] : [0, 2, 4, 6, 1, 3, 5, 7]) {
      const at: Place = [
        x + ring * room * 0.7 * Math.cos((turn * Math.PI) / 4),
        y + ring * room * 0.7 * Math.sin((turn * Math.PI) / 4),
      ];
      if (taken.every(([tx, ty]) => Math.hypot(tx - at[0], ty - at[1]) >= room)) {
        taken.push(at);
        return { x: at[0], y: at[1] };
      }
    }
  taken.push([x, y]);
  return { x, y };
}

import type { DrawnOutline } from '@core/foundations/fields';
import { curveName, type StudiedDrawing } from '@core/shaping/drawn';

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
const SIGN_SHARE = 0.28;

const share = ([ax, ay]: Place, [bx, by]: Place, part: number): Place => [
  ax + part * (bx - ax),
  ay + part * (by - ay),
];

/** Half of what a mark covers, px, with a little room. */
const SIGN_BOX: Place = [11, 11];
const CHIP_BOX: Place = [33, 15];

export interface Marks {
  relations: Mark<Relation>[];
  dimensions: Mark<Dimension>[];
}

/** Where dimensions have their chips and relations their signs: near what they belong to, none over another, all on the board. */
export function marksOf(outline: DrawnOutline, studied: StudiedDrawing, view: BoardView): Marks {
  const taken: { at: Place; half: Place }[] = [...studied.points.values()].map((place) => ({
    at: toPx(view, place),
    half: [6, 6],
  }));
  const put = <T extends Relation | Dimension>(all: readonly T[], px: number, half: Place): Mark<T>[] =>
    all.flatMap((of) => {
      const off = offOf(of, outline, studied, view, px);
      if (!off) return [];
      const [x, y] = free(off, half, taken, view);
      taken.push({ at: [x, y], half });
      return [{ of, x, y }];
    });
  const dimensions = put(outline.dimensions ?? [], CHIP_OFF, CHIP_BOX);
  return { dimensions, relations: put(outline.relations, -SIGN_OFF, SIGN_BOX) };
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
    return line >= 0 && px < 0 ? beside(curveName(outline.curves[line]!, line)) : half(a, b);
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

/** A place near one that is wanted, on the board, where nothing else stands; the wanted one where there is none. */
function free(
  wanted: Place,
  half: Place,
  taken: readonly { at: Place; half: Place }[],
  { width, height }: BoardView,
): Place {
  const onBoard = ([x, y]: Place): Place => [
    Math.min(width - half[0], Math.max(half[0], x)),
    Math.min(height - half[1], Math.max(half[1], y)),
  ];
  for (let ring = 0; ring <= RINGS; ring += 1)
    for (const turn of ring === 0 ? [0] : TURNS) {
      const at = onBoard([
        wanted[0] + ring * RING_PX * Math.cos((turn * Math.PI) / 4) * (half[0] > half[1] ? 1.4 : 1),
        wanted[1] + ring * RING_PX * Math.sin((turn * Math.PI) / 4),
      ]);
      const isFree = taken.every(
        (other) =>
          Math.abs(other.at[0] - at[0]) >= other.half[0] + half[0] ||
          Math.abs(other.at[1] - at[1]) >= other.half[1] + half[1],
      );
      if (isFree) return at;
    }
  return onBoard(wanted);
}

/** How far a free place is looked for, px, and which ways first. */
const [RING_PX, RINGS] = [14, 9];
const TURNS = [2, 6, 0, 4, 1, 3, 5, 7];

/** Thin lines from what a dimension measures to its chip: each a run of places, px. */
export function dimensionLines(
  { of, x, y }: Mark<Dimension>,
  outline: DrawnOutline,
  { points, curves }: StudiedDrawing,
  view: BoardView,
): Place[][] {
  const px = (place: Place): Place => toPx(view, place);
  const chip: Place = [x, y];
  const across = (a: Place, b: Place, way: Place): Place[][] => {
    const normal: Place = [-way[1], way[0]];
    const foot = ([ax, ay]: Place): Place => {
      const off = (chip[0] - ax) * normal[0] + (chip[1] - ay) * normal[1];
      return [ax + off * normal[0], ay + off * normal[1]];
    };
    return [
      [a, foot(a)],
      [foot(a), foot(b)],
      [foot(b), b],
    ];
  };
  const along = (a: Place, b: Place) => {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return length < 1 ? [] : across(a, b, [(b[0] - a[0]) / length, (b[1] - a[1]) / length]);
  };
  if (of.kind === 'distance' || of.kind === 'along') {
    const [a, b] = [points.get(of.points[0]), points.get(of.points[1])];
    if (!a || !b) return [];
    if (of.kind === 'distance') return along(px(a), px(b));
    return across(px(a), px(b), of.axis === 'x' ? [1, 0] : [0, 1]);
  }
  if (of.kind === 'fromLine' || of.kind === 'across') {
    const [point, curve] = [points.get(of.point), curves.find(({ id }) => id === of.curve)];
    return point && curve?.kind === 'line' ? along(px(point), px(footOn(point, curve.from, curve.to))) : [];
  }
  const curve = curves.find(({ id }) => id === (of.kind === 'angle' ? of.curves[1] : of.curve));
  return curve ? [[px(middleOf(curve).at), chip]] : [];
}

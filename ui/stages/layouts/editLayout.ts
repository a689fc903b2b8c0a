import type { SolvedLayout } from '@core/measuring/layout';
import type { Layout, LayoutDistance, LayoutEnd, LayoutPoint } from '@core/record/model';

/** Layouts with one thing changed. All give a new one and leave the old one alone. */

/** The sketch brought to where the points came out, so that what is drawn next is drawn in the same frame. */
export function withSketchAsSolved(layout: Layout, solved: SolvedLayout): Layout {
  const places = new Map(solved.points.map(({ id, x, y }) => [id, { x, y }]));
  return { ...layout, points: layout.points.map((point) => ({ ...point, ...places.get(point.id) })) };
}

export function withPoint(layout: Layout, id: string, at: { x: number; y: number }): Layout {
  const taken = new Set(layout.points.map(({ label }) => label));
  let number = 1;
  while (taken.has(String(number))) number += 1;
  // A new point is most likely like the last one: holes of one plate are drilled with one drill.
  const like = layout.points.at(-1);
  const point: LayoutPoint = {
    id,
    label: String(number),
    kind: like?.kind ?? 'hole',
    ...at,
    diameter: like?.diameter ?? null,
  };
  return { ...layout, points: [...layout.points, point] };
}

export function withChangedPoint(layout: Layout, point: LayoutPoint): Layout {
  return { ...layout, points: layout.points.map((other) => (other.id === point.id ? point : other)) };
}

/** Without a point, and without the distances that end at it. */
export function withoutPoint(layout: Layout, id: string): Layout {
  const ends = (end: LayoutEnd) => 'point' in end && end.point === id;
  return {
    ...layout,
    points: layout.points.filter((point) => point.id !== id),
    distances: layout.distances.filter(({ from, to }) => !ends(from) && !ends(to)),
  };
}

export function withDistance(layout: Layout, distance: LayoutDistance): Layout {
  const known = layout.distances.some(({ id }) => id === distance.id);
  return {
    ...layout,
    distances: known
      ? layout.distances.map((other) => (other.id === distance.id ? distance : other))
      : [...layout.distances, distance],
  };
}

export function withoutDistance(layout: Layout, id: string): Layout {
  return { ...layout, distances: layout.distances.filter((distance) => distance.id !== id) };
}

export const sameEnd = (a: LayoutEnd, b: LayoutEnd): boolean => JSON.stringify(a) === JSON.stringify(b);

/** "1", or "left edge". */
export function endWords(layout: Layout, end: LayoutEnd): string {
  if ('edge' in end) return `${end.edge} edge`;
  return layout.points.find(({ id }) => id === end.point)?.label ?? '?';
}

const OVER_WORDS: Record<LayoutDistance['over'], string> = {
  centres: 'centre to centre',
  near: 'between the near rims',
  far: 'over the far rims',
};

/** "1 to 2, over the far rims". */
export function distanceWords(layout: Layout, { from, to, over }: LayoutDistance): string {
  return `${endWords(layout, from)} to ${endWords(layout, to)}, ${OVER_WORDS[over]}`;
}
export { OVER_WORDS };

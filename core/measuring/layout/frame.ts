import type { Layout } from '@core/record/model';
import { isNothing } from '@core/foundations/tolerance';
import type { Equation } from '@core/measuring/adjustment';

import { axisOf, type Observation } from './observations';

/**
 * The unknowns of a layout: x and y of every point, and where the right and the top edge stand. Some are held,
 * to say where the frame lies; the rest are adjusted.
 */
export interface Frame {
  /** All unknowns: x and y of the points in order, then right, then top. */
  size: number;
  xOf(pointId: string): number;
  yOf(pointId: string): number;
  right: number;
  top: number;
  /** Which unknowns are held at zero: they say where the frame lies and which way it looks. */
  held: ReadonlySet<number>;
  /** Words for what the frame is tied to. */
  tiedTo: 'firstTwoPoints' | 'edges' | 'leftOrRight' | 'bottomOrTop';
}

/**
 * Ties the frame to the datum edges where distances to them were taken, else to the first two points: the first
 * is the origin and the second lies along x. An edge that stands alone on its axis takes the place of zero.
 */
export function frameOf(layout: Layout, observations: readonly Observation[]): Frame {
  const places = new Map(layout.points.map(({ id }, index) => [id, index]));
  const xOf = (id: string) => 2 * places.get(id)!;
  const count = layout.points.length;
  const [right, top] = [2 * count, 2 * count + 1];
  const used = new Set(
    observations.flatMap(({ from, to }) => [from, to].flatMap((end) => ('edge' in end ? [end.edge] : []))),
  );
  const alongX = [...used].some((edge) => axisOf(edge) === 'x');
  const alongY = [...used].some((edge) => axisOf(edge) === 'y');
  const held = new Set<number>();
  // An edge nobody measured to is no unknown.
  if (!used.has('right') || !used.has('left')) held.add(right);
  if (!used.has('top') || !used.has('bottom')) held.add(top);
  const [first, second] = layout.points;
  if (first && !alongX) held.add(xOf(first.id));
  if (first && !alongY) held.add(xOf(first.id) + 1);
  if (second && !alongX && !alongY) held.add(xOf(second.id) + 1);
  return {
    size: 2 * count + 2,
    xOf,
    yOf: (id) => xOf(id) + 1,
    right,
    top,
    held,
    tiedTo: alongX && alongY ? 'edges' : alongX ? 'leftOrRight' : alongY ? 'bottomOrTop' : 'firstTwoPoints',
  };
}

/** What a distance is where the unknowns stand, and its slopes by them: at most four of each. */
export interface Prediction {
  mm: number;
  at: number[];
  slopes: number[];
}

/** Distances as equations of the unknowns. */
export const equationsOf = (observations: readonly Observation[], frame: Frame): Equation[] =>
  observations.map((observation) => ({
    target: observation.observedMm,
    standard: observation.standardMm,
    predict: (values) => {
      const { mm, at, slopes } = predict(observation, frame, values);
      return { value: mm, at, slopes };
    },
  }));

/** Distance between the two ends of an observation, with its slopes. */
export function predict(
  { from, to }: Pick<Observation, 'from' | 'to'>,
  frame: Frame,
  values: ArrayLike<number>,
): Prediction {
  if ('point' in from && 'point' in to) {
    const [xi, xj] = [frame.xOf(from.point), frame.xOf(to.point)];
    const [dx, dy] = [values[xj]! - values[xi]!, values[xj + 1]! - values[xi + 1]!];
    const mm = Math.hypot(dx, dy);
    // Points on top of each other have no direction; any serves to push them apart.
    const [ux, uy] = isNothing(mm) ? [Math.SQRT1_2, Math.SQRT1_2] : [dx / mm, dy / mm];
    return { mm, at: [xi, xi + 1, xj, xj + 1], slopes: [-ux, -uy, ux, uy] };
  }
  // The end with the larger coordinate first; a low edge is zero itself and needs no place.
  const toHighEdge = isHigh(from) || isHigh(to);
  const [high, low] = toHighEdge
    ? isHigh(from)
      ? [from, to]
      : [to, from]
    : ['point' in from ? from : to, null];
  const place = (end: typeof from | null): { at: number; mm: number } => {
    if (!end) return { at: -1, mm: 0 };
    if ('edge' in end) {
      if (end.edge === 'right') return { at: frame.right, mm: values[frame.right]! };
      if (end.edge === 'top') return { at: frame.top, mm: values[frame.top]! };
      return { at: -1, mm: 0 };
    }
    const axis = edgeAxis(from, to);
    const at = axis === 'x' ? frame.xOf(end.point) : frame.yOf(end.point);
    return { at, mm: values[at]! };
  };
  const [upper, lower] = [place(high), place(low)];
  const at: number[] = [];
  const slopes: number[] = [];
  if (upper.at >= 0) {
    at.push(upper.at);
    slopes.push(1);
  }
  if (lower.at >= 0) {
    at.push(lower.at);
    slopes.push(-1);
  }
  return { mm: upper.mm - lower.mm, at, slopes };
}

type End = Observation['from'];
const isHigh = (end: End) => 'edge' in end && (end.edge === 'right' || end.edge === 'top');
const edgeAxis = (from: End, to: End) =>
  axisOf('edge' in from ? from.edge : (to as Extract<End, { edge: unknown }>).edge);

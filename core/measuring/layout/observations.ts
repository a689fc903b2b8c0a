import type { DatumEdge, Layout, LayoutDistance, LayoutEnd, Source } from '@core/record/model';

/** A known length with its standard uncertainty, mm. */
export interface KnownLength {
  mm: number;
  standardMm: number;
}

/** Looks up what a source of a length gives; null while it is not known. */
export type LengthFinder = (source: Source) => KnownLength | null;

/** Least standard uncertainty of any distance, mm. */
const LEAST_STANDARD_MM = 0.01;
/**
 * Of one that was only typed: one reading with a caliper, its hand 0.015, its error 0.02 and its display 0.005 as rectangles, mm.
 */
const TYPED_STANDARD_MM = Math.hypot(0.015, 0.02 / Math.sqrt(3), 0.005 / Math.sqrt(3));

/** One distance in a form that can be adjusted: between two ends, with the rims' halves taken out. */
export interface Observation {
  distance: LayoutDistance;
  from: LayoutEnd;
  to: LayoutEnd;
  /** Distance between centres (or from centre to edge) as it was taken, mm. */
  observedMm: number;
  standardMm: number;
}

/** Why a distance of a layout takes no part. */
export type Unused = { distance: LayoutDistance; why: 'leftOut' | 'notTaken' | 'noDiameter' | 'wrongEnds' };

const EDGE_AXIS: Record<DatumEdge, 'x' | 'y'> = { left: 'x', right: 'x', bottom: 'y', top: 'y' };
export const axisOf = (edge: DatumEdge): 'x' | 'y' => EDGE_AXIS[edge];

/**
 * Reduces distances over rims to distances between centres: near rims stand half a diameter nearer on each side,
 * far rims half a diameter further. The doubt of a diameter goes into the distance, as if it were its own.
 */
export function observationsOf(
  layout: Layout,
  find: LengthFinder,
): { observations: Observation[]; unused: Unused[] } {
  const observations: Observation[] = [];
  const unused: Unused[] = [];
  const diameters = new Map(
    layout.points.map(({ id, diameter }) => [id, diameter ? find(diameter) : null] as const),
  );
  for (const distance of layout.distances) {
    const { from, to, over } = distance;
    const drop = (why: Unused['why']) => void unused.push({ distance, why });
    if (distance.leftOut !== null) {
      drop('leftOut');
      continue;
    }
    if (!endsGoTogether(from, to)) {
      drop('wrongEnds');
      continue;
    }
    const taken = find(distance.source);
    if (!taken) {
      drop('notTaken');
      continue;
    }
    let { mm } = taken;
    const least = distance.source.from === 'number' ? TYPED_STANDARD_MM : LEAST_STANDARD_MM;
    let variance = Math.max(taken.standardMm, least) ** 2;
    let complete = true;
    for (const end of over === 'centres' ? [] : [from, to]) {
      if (!('point' in end)) continue;
      const diameter = diameters.get(end.point);
      if (!diameter) complete = false;
      else {
        mm += (over === 'near' ? 0.5 : -0.5) * diameter.mm;
        variance += (diameter.standardMm / 2) ** 2;
      }
    }
    if (!complete) drop('noDiameter');
    else observations.push({ distance, from, to, observedMm: mm, standardMm: Math.sqrt(variance) });
  }
  return { observations, unused };
}

/** Two different points, a point and an edge, or two edges that face each other. */
export function endsGoTogether(from: LayoutEnd, to: LayoutEnd): boolean {
  if ('point' in from) return !('point' in to) || from.point !== to.point;
  if ('point' in to) return true;
  return from.edge !== to.edge && axisOf(from.edge) === axisOf(to.edge);
}

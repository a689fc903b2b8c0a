import jstat from 'jstat';

import type { Fault } from '@core/foundations/fault';
import type { Layout } from '@core/record/model';
import { isNothing } from '@core/foundations/tolerance';

import type { Adjustment } from '@core/measuring/adjustment';
import { frameOf, predict, type Frame } from './frame';
import { observationsOf, type LengthFinder, type Observation, type Unused } from './observations';
import { adjustFromSeveral } from './severalStarts';
import { findSuspect, type SolvedDistance, type Suspect } from './suspect';

/** Where a point came out. mm. */
export interface SolvedPoint {
  id: string;
  label: string;
  x: number;
  y: number;
  /** Standard uncertainties; null while something is missing. */
  standard: { x: number; y: number } | null;
  /** Region that holds it in 95 % of cases: half axes, and the turn of the long one from x, radians. */
  ellipse: { long: number; short: number; turn: number } | null;
  /** Can still move, because too few distances hold it. */
  loose: boolean;
  /** The other place that its distances allow as well, if there is one. */
  mirrored: { x: number; y: number } | null;
}

export interface SolvedLayout {
  points: SolvedPoint[];
  distances: SolvedDistance[];
  unused: Unused[];
  /** Where the right and top edges stand, mm; null where nobody measured to them. */
  right: number | null;
  top: number | null;
  tiedTo: Frame['tiedTo'];
  /** Distances more than needed. */
  redundancy: number;
  suspect: Suspect | null;
  /** Probability that residuals as large as these come by chance; null without redundancy. */
  agreement: number | null;
  iterations: number;
  /** What keeps the layout from being whole; null when all is known. */
  fault: Fault | null;
}

/** A loose way of length 1 takes a point along if it moves it by more than this share. */
const MOVES = 1e-3;
/** Below this share an error does not show in its own residual but for rounding: nothing checks the distance. */
const LEAST_REDUNDANCY = 1e-5;
/** √χ² with two degrees of freedom at 95 %. */
const ELLIPSE_95 = Math.sqrt(jstat.chisquare.inv(0.95, 2));

/**
 * Places the points of a layout by its distances, adjusted together by least squares; tells which distance does
 * not agree with the others, how well each point is known, and what is missing.
 */
export function solveLayout(layout: Layout, find: LengthFinder): SolvedLayout {
  const { observations, unused } = observationsOf(layout, find);
  const frame = frameOf(layout, observations);
  const adjustment = adjustFromSeveral(layout, observations, frame);
  const { values, loose } = adjustment;
  const distances = adjustment.cofactor
    ? checkedDistances(observations, frame, adjustment)
    : observations.map((observation, index) => ({
        distance: observation.distance,
        observedMm: observation.observedMm,
        adjustedMm: observation.observedMm + adjustment.residualsMm[index]!,
        residualMm: adjustment.residualsMm[index]!,
        standardised: 0,
        redundancy: 0,
      }));
  const redundancy = loose.length > 0 ? 0 : observations.length - adjustment.free.length;
  const used = (edge: 'right' | 'top') =>
    observations.some(({ from, to }) => [from, to].some((end) => 'edge' in end && end.edge === edge));
  return {
    points: layout.points.map((point) => solvedPoint(point, layout, observations, frame, adjustment)),
    distances,
    unused,
    right: used('right') ? values[frame.right]! : null,
    top: used('top') ? values[frame.top]! : null,
    tiedTo: frame.tiedTo,
    redundancy,
    suspect: findSuspect(layout, distances, observations, frame, adjustment),
    agreement: redundancy > 0 ? 1 - jstat.chisquare.cdf(adjustment.squareSum, redundancy) : null,
    iterations: adjustment.iterations,
    fault: faultOf(layout, frame, observations, adjustment),
  };
}

/** Ids of all distances that may be the wrong one. */
export const suspectsOf = ({ suspect }: Pick<SolvedLayout, 'suspect'>): ReadonlySet<string> =>
  new Set(suspect ? [suspect, ...suspect.rivals].map(({ distanceId }) => distanceId) : []);

/** Residuals against their own standard deviations: Qvv = 1/w − A Qxx Aᵀ. */
function checkedDistances(
  observations: readonly Observation[],
  frame: Frame,
  { values, free, cofactor, residualsMm }: Adjustment,
): SolvedDistance[] {
  const row = new Map(free.map((unknown, index) => [unknown, index]));
  return observations.map((observation, index) => {
    const { mm, at, slopes } = predict(observation, frame, values);
    let known = 0;
    for (let i = 0; i < at.length; i += 1) {
      for (let j = 0; j < at.length; j += 1) {
        const [r, c] = [row.get(at[i]!), row.get(at[j]!)];
        if (r !== undefined && c !== undefined) known += slopes[i]! * slopes[j]! * cofactor!.get(r, c);
      }
    }
    const variance = observation.standardMm ** 2;
    const ofResidual = Math.max(0, variance - known);
    const redundancy = ofResidual / variance;
    const residualMm = residualsMm[index]!;
    return {
      distance: observation.distance,
      observedMm: observation.observedMm,
      adjustedMm: mm,
      residualMm,
      standardised: redundancy > LEAST_REDUNDANCY ? Math.abs(residualMm) / Math.sqrt(ofResidual) : 0,
      redundancy,
    };
  });
}

function solvedPoint(
  { id, label }: Layout['points'][number],
  layout: Layout,
  observations: readonly Observation[],
  frame: Frame,
  adjustment: Adjustment,
): SolvedPoint {
  const { values, loose } = adjustment;
  const [xAt, yAt] = [frame.xOf(id), frame.yOf(id)];
  const covariance = covarianceOf(adjustment, xAt, yAt);
  return {
    id,
    label,
    x: values[xAt]!,
    y: values[yAt]!,
    standard: covariance && { x: Math.sqrt(covariance.xx), y: Math.sqrt(covariance.yy) },
    ellipse: covariance && ellipseOf(covariance),
    loose: loose.some((direction) => Math.hypot(direction[xAt]!, direction[yAt]!) > MOVES),
    mirrored: loose.length > 0 ? null : mirroredPlace(id, observations, frame, values, layout),
  };
}

interface Covariance {
  xx: number;
  xy: number;
  yy: number;
}

function covarianceOf({ free, cofactor }: Adjustment, xAt: number, yAt: number): Covariance | null {
  if (!cofactor) return null;
  const [r, c] = [free.indexOf(xAt), free.indexOf(yAt)];
  const cell = (a: number, b: number) => (a < 0 || b < 0 ? 0 : Math.max(0, cofactor.get(a, b)));
  return {
    xx: cell(r, r),
    yy: cell(c, c),
    xy: r < 0 || c < 0 ? 0 : cofactor.get(r, c),
  };
}

/** Half axes of the 95 % ellipse from the covariance of x and y (its eigenvalues in closed form). */
function ellipseOf({ xx, xy, yy }: Covariance): NonNullable<SolvedPoint['ellipse']> {
  const middle = (xx + yy) / 2;
  const swing = Math.hypot((xx - yy) / 2, xy);
  return {
    long: ELLIPSE_95 * Math.sqrt(middle + swing),
    short: ELLIPSE_95 * Math.sqrt(Math.max(0, middle - swing)),
    turn: Math.atan2(2 * xy, xx - yy) / 2,
  };
}

/** Points nearer to the line through their neighbours than this, mm, are their own mirror image. */
const ON_THE_LINE_MM = 0.5;

/**
 * A point that two distances to two other points hold, and nothing else, could as well stand on the other side
 * of the line through these. No distance can tell; only somebody who has seen the piece.
 */
function mirroredPlace(
  id: string,
  observations: readonly Observation[],
  frame: Frame,
  values: Float64Array,
  layout: Layout,
): { x: number; y: number } | null {
  const touching = observations.filter(({ from, to }) =>
    [from, to].some((end) => 'point' in end && end.point === id),
  );
  const others = new Set(
    touching.map(({ from, to }) => {
      const other = 'point' in from && from.point === id ? to : from;
      return 'point' in other ? other.point : null;
    }),
  );
  if (others.size !== 2 || others.has(null)) return null;
  // The frame itself rests on the first two points; there the whole sketch would turn over.
  if (frame.tiedTo === 'firstTwoPoints' && layout.points.slice(0, 2).some((point) => point.id === id)) {
    return null;
  }
  const [a, b] = [...others] as [string, string];
  const at = (point: string) => ({ x: values[frame.xOf(point)]!, y: values[frame.yOf(point)]! });
  const [pa, pb, p] = [at(a), at(b), at(id)];
  const base = Math.hypot(pb.x - pa.x, pb.y - pa.y);
  if (isNothing(base)) return null;
  const [nx, ny] = [-(pb.y - pa.y) / base, (pb.x - pa.x) / base];
  const off = (p.x - pa.x) * nx + (p.y - pa.y) * ny;
  return Math.abs(off) < ON_THE_LINE_MM ? null : { x: p.x - 2 * off * nx, y: p.y - 2 * off * ny };
}

/** Residuals this many standard uncertainties large, where nothing should be left over, mean that it can't be. */
const FAR_OFF = 5;

/** Distances that no placing can meet, such as a side of a triangle longer than the two others together. */
function openIn(
  layout: Layout,
  observations: readonly Observation[],
  { residualsMm }: Adjustment,
): Fault | null {
  const missed = observations.filter(
    ({ standardMm }, index) => Math.abs(residualsMm[index]!) > FAR_OFF * standardMm,
  );
  if (missed.length === 0) return openTriangle(layout, observations);
  const touched = new Set(
    missed.flatMap(({ from, to }) => [from, to].flatMap((end) => ('point' in end ? [end.point] : []))),
  );
  return {
    code: 'layout.open',
    points: layout.points.filter(({ id }) => touched.has(id)).map(({ label }) => label),
    gapMm: residualsMm.reduce((sum, residual) => sum + Math.abs(residual), 0),
  };
}

/**
 * Three points whose distances do not close, by however little: they come to lie in one line, across which nothing holds them. That is not
 * a distance that is missing.
 */
function openTriangle({ points }: Layout, observations: readonly Observation[]): Fault | null {
  const between = new Map<string, number>();
  for (const { from, to, observedMm } of observations) {
    if ('point' in from && 'point' in to) between.set([from.point, to.point].sort().join(' '), observedMm);
  }
  const mm = (a: string, b: string) => between.get([a, b].sort().join(' '));
  for (const [i, one] of points.entries()) {
    for (const [j, other] of points.slice(i + 1).entries()) {
      const side = mm(one.id, other.id);
      if (side === undefined) continue;
      for (const third of points.slice(i + j + 2)) {
        const sides = [side, mm(one.id, third.id), mm(other.id, third.id)];
        if (!sides.every((length) => length !== undefined)) continue;
        const longest = Math.max(...sides);
        const gapMm = 2 * longest - sides.reduce((sum, length) => sum + length, 0);
        if (gapMm > 0) {
          return { code: 'layout.open', points: [one.label, other.label, third.label], gapMm };
        }
      }
    }
  }
  return null;
}

function faultOf(
  layout: Layout,
  frame: Frame,
  observations: readonly Observation[],
  adjustment: Adjustment,
): Fault | null {
  if (layout.points.length < 2) return { code: 'layout.empty' };
  const { loose, converged, free } = adjustment;
  // With distances to spare, the one that does not agree is pointed out instead.
  const open =
    loose.length > 0 || observations.length <= free.length ? openIn(layout, observations, adjustment) : null;
  if (open) return open;
  if (loose.length > 0) {
    const points = layout.points.filter(({ id }) =>
      loose.some((way) => Math.hypot(way[frame.xOf(id)]!, way[frame.yOf(id)]!) > MOVES),
    );
    return { code: 'layout.missing', points: points.map(({ label }) => label), ways: loose.length };
  }
  return converged ? null : { code: 'layout.notSettled' };
}

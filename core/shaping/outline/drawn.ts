import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import { ownValue } from '@core/foundations/own';
import {
  drawnInput,
  isMet,
  pointsOfCurve,
  solveDrawn,
  studyDrawn,
  type DrawnData,
  type SolvedCurve,
} from '@core/shaping/drawn';

import { loopsOfCurves, regionOfLoops, runOfCurves, type Region, type Run } from './chain';
import type { Curve } from './curves';

/** An arc this flat is straight: its rise as a share of its chord. */
const STRAIGHT = 1e-6;

/**
 * The region of a drawn outline, where its relations and dimensions hold. Roles: those that curves brought along, or curve and its name.
 *
 * @param lengths those of its points (`points.0.x`), curves (`curves.3.diameter`) and dimensions (`dimensions.1.value`), mm.
 */
export function drawnRegion(
  data: DrawnData,
  lengths: Readonly<Record<string, NamedLength>>,
): Result<Region, StepFault> {
  const curves = curvesDrawn(data, lengths);
  if (!curves.ok) return curves;
  const loops = loopsOfCurves(curves.value);
  return loops.ok ? regionOfLoops(loops.value) : loops;
}

/** A drawn outline as a path: its curves end to end from its first end, or round. Lengths as those of drawnRegion. */
export function drawnRun(
  data: DrawnData,
  lengths: Readonly<Record<string, NamedLength>>,
): Result<Run, StepFault> {
  const curves = curvesDrawn(data, lengths);
  return curves.ok ? runOfCurves(curves.value) : curves;
}

/** Curves of a drawn outline, where its relations and dimensions hold, without construction lines. */
function curvesDrawn(
  data: DrawnData,
  lengths: Readonly<Record<string, NamedLength>>,
): Result<Curve[], StepFault> {
  const points = new Set(data.points.map(({ id }) => id));
  for (const [index, curve] of data.curves.entries()) {
    const missing = pointsOfCurve(curve).find((id) => !points.has(id));
    if (missing !== undefined) return no({ code: 'outline.noPoint', place: index + 1, point: missing });
  }
  if (data.curves.length === 0) return no({ code: 'outline.nothingDrawn' });
  const input = drawnInput(data, (path) => ownValue(lengths, path));
  const solved = solveDrawn(input);
  if (solved.misused.size > 0) {
    const [id, why] = [...solved.misused][0]!;
    return no({ code: 'outline.relationMisused', place: placeOf(id, data), why });
  }
  if (!isMet(solved))
    return no({ code: 'outline.contradicts', tags: tagsOf(studyDrawn(input).conflict, input) });
  const curves: Curve[] = [];
  for (const curve of solved.curves) {
    if (curve.helper) continue;
    const place = solved.curves.indexOf(curve) + 1;
    if (hasNoLength(curve)) return no({ code: 'outline.noLength', place });
    if (curve.kind === 'arc' && isStraight(curve)) return no({ code: 'outline.arcStraight', place });
    curves.push(plainCurve(curve));
  }
  if (curves.length === 0) return no({ code: 'outline.onlyHelpers' });
  return ok(curves);
}

/** Where a relation stands, from 1 on; dimensions come after all relations. */
const placeOf = (id: string, { relations, dimensions = [] }: DrawnData): number =>
  [...relations, ...dimensions].findIndex((one) => one.id === id) + 1;

/** Tags of the sizes among some relations and dimensions. */
const tagsOf = (ids: readonly string[], { dimensions }: ReturnType<typeof drawnInput>): string[] =>
  dimensions.flatMap(({ dimension, tag }) => (tag !== null && ids.includes(dimension.id) ? [tag] : []));

/** Shorter than this the kernel can't keep the ends of a curve apart, mm. */
const LEAST_MM = 0.01;

function hasNoLength(curve: SolvedCurve): boolean {
  const [a, b] =
    curve.kind === 'line' || curve.kind === 'arc'
      ? [curve.from, curve.to]
      : curve.kind === 'spline'
        ? [curve.points[0]!, curve.points[1]!]
        : [[0, 0], curve.kind === 'circle' ? [curve.radius, 0] : [Math.min(...curve.along), 0]];
  // Written so that what is no number has none.
  return !(Math.hypot(b![0]! - a![0]!, b![1]! - a![1]!) > LEAST_MM);
}

function isStraight({ from, via, to }: SolvedCurve & { kind: 'arc' }): boolean {
  const chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const twice = (via[0] - from[0]) * (to[1] - from[1]) - (via[1] - from[1]) * (to[0] - from[0]);
  return !(Math.abs(twice) > STRAIGHT * chord ** 2);
}

/** A curve as outlines hold it. */
export function plainCurve(curve: SolvedCurve): Curve {
  const role = curve.face ?? `curve${curve.id}`;
  switch (curve.kind) {
    case 'line':
      return { kind: 'line', from: curve.from, to: curve.to, role };
    case 'arc':
      return { kind: 'arc', from: curve.from, via: curve.via, to: curve.to, role };
    case 'spline':
      return { kind: 'spline', points: curve.points, closed: curve.closed, role };
    case 'circle':
      return { kind: 'circle', middle: curve.middle, radius: curve.radius, role };
    case 'ellipse':
      return { kind: 'ellipse', middle: curve.middle, alongX: curve.along[0], alongY: curve.along[1], role };
  }
}

import { no, ok, type Result, type StepFault } from '@core/foundations/fault';

import { reversed, type Curve, type Loop, type Point } from './curves';
import { areaOf, crosses, isWithin, polygonOf } from './polygon';

/** An outline with what is left out within it. The outer loop and the holes all go anticlockwise. */
export interface Region {
  outer: Loop;
  holes: readonly Loop[];
}

/** Ends nearer than this meet, mm. */
const MEET_MM = 1e-4;

const isClosed = (curve: Curve) =>
  curve.kind === 'circle' || curve.kind === 'ellipse' || (curve.kind === 'spline' && curve.closed === true);

const startOf = (curve: Curve): Point =>
  curve.kind === 'line' || curve.kind === 'arc'
    ? curve.from
    : curve.kind === 'spline'
      ? curve.points[0]!
      : curve.middle;
const endOf = (curve: Curve): Point =>
  curve.kind === 'line' || curve.kind === 'arc'
    ? curve.to
    : curve.kind === 'spline'
      ? curve.points.at(-1)!
      : curve.middle;

const apart = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);

/** Puts curves that come in any order, and run either way, end to end: loops, all anticlockwise. */
export function loopsOfCurves(curves: readonly Curve[]): Result<Loop[], StepFault> {
  const loops: Curve[][] = [];
  const left = [...curves];
  while (left.length > 0) {
    const chain = [left.shift()!];
    while (!isClosed(chain[0]!) && apart(endOf(chain.at(-1)!), startOf(chain[0]!)) > MEET_MM) {
      const end = endOf(chain.at(-1)!);
      const next = left.findIndex(
        (curve) =>
          !isClosed(curve) && Math.min(apart(startOf(curve), end), apart(endOf(curve), end)) < MEET_MM,
      );
      if (next < 0) return no({ code: 'outline.open', x: end[0], y: end[1] });
      const [found] = left.splice(next, 1) as [Curve];
      chain.push(apart(startOf(found), end) < MEET_MM ? found : reversed(found));
    }
    const outline = polygonOf(chain);
    if (crosses(outline)) return no({ code: 'outline.crosses' });
    loops.push(areaOf(outline) < 0 ? chain.map(reversed).reverse() : chain);
  }
  return ok(loops);
}

/** The region that loops enclose: the largest is its outline, the others are holes within it, side by side. */
export function regionOfLoops(loops: readonly Loop[]): Result<Region, StepFault> {
  const drawn = loops.map((loop) => ({ loop, polygon: polygonOf(loop) }));
  drawn.sort((a, b) => areaOf(b.polygon) - areaOf(a.polygon));
  const [outer, ...holes] = drawn;
  if (!outer) return no({ code: 'outline.open', x: 0, y: 0 });
  const isAside = holes.some(
    ({ polygon }, index) =>
      !polygon.every((point) => isWithin(point, outer.polygon)) ||
      holes.slice(0, index).some((other) => polygon.some((point) => isWithin(point, other.polygon))),
  );
  if (isAside) return no({ code: 'outline.loopsAside' });
  return ok({ outer: outer.loop, holes: holes.map(({ loop }) => loop) });
}

/** Curves end to end, each from where the one before it ends. */
export interface Run {
  curves: readonly Curve[];
  /** It comes back to where it begins. */
  closed: boolean;
}

/** Puts curves that come in any order, and run either way, end to end in one run: an open one from an end of it. */
export function runOfCurves(curves: readonly Curve[]): Result<Run, StepFault> {
  const [only] = curves;
  if (curves.length === 1 && only && isClosed(only)) return ok({ curves, closed: true });
  const whole = curves.find(isClosed);
  if (whole) return no({ code: 'path.inPieces' });
  const meeting = (at: Point) =>
    curves.flatMap((curve) => [startOf(curve), endOf(curve)]).filter((end) => apart(end, at) < MEET_MM)
      .length;
  const fork = curves.flatMap((curve) => [startOf(curve), endOf(curve)]).find((end) => meeting(end) > 2);
  if (fork) return no({ code: 'path.forks', x: fork[0], y: fork[1] });
  const first =
    curves.find((curve) => meeting(startOf(curve)) === 1) ??
    curves.find((curve) => meeting(endOf(curve)) === 1);
  const left = curves.filter((curve) => curve !== (first ?? only));
  const begins = first ?? only!;
  const run = [first && meeting(startOf(begins)) > 1 ? reversed(begins) : begins];
  while (left.length > 0) {
    const end = endOf(run.at(-1)!);
    const next = left.findIndex(
      (curve) => Math.min(apart(startOf(curve), end), apart(endOf(curve), end)) < MEET_MM,
    );
    if (next < 0) return no({ code: 'path.inPieces' });
    const [found] = left.splice(next, 1) as [Curve];
    run.push(apart(startOf(found), end) < MEET_MM ? found : reversed(found));
  }
  return ok({ curves: run, closed: !first });
}

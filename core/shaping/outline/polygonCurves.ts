import type { Curve, Point } from './curves';
import { thinned } from './recognised';

/** A curve that runs of a polygon may have been made of, and how near to it, on either side, corners lie that belong to it, mm. */
export type KnownCurve = { withinMm: number } & (
  | { kind: 'circle'; middle: Point; radius: number }
  /** As far as it goes. */
  | { kind: 'line'; from: Point; to: Point }
);
type KnownCircle = Extract<KnownCurve, { kind: 'circle' }>;

/** What lies as near as this lies on a circle or a line exactly, mm: corners come rounded to a hundred-thousandth. */
const EXACT_MM = 1e-4;
/** A corner that moves by less than this has settled, mm. */
const SETTLED_MM = 1e-9;
/** Chords of a smooth line turn by no more than this from one to the next, radians. */
const SMOOTH_TURN = 0.35;
/** Fewest chords that are taken for a smooth line. */
const FEWEST_CHORDS = 4;

/** Chords of a polygon that were one curve. */
interface Run {
  known: KnownCurve | null;
  points: Point[];
}

/**
 * A closed polygon that was made of curves, as these again: chords of a known circle are an arc of it, those of a known line are that, other runs that turn evenly are
 * a smooth line, the rest are lines. Ends of arcs lie where curves meet exactly.
 *
 * @param gapMm how far the middle of a chord may lie inside its circle.
 */
export function curvesOfPolygon(
  points: readonly Point[],
  known: readonly KnownCurve[],
  gapMm: number,
): Curve[] {
  const corners = withoutStraightOn(points);
  const runs = joinedEnds(runsOf(corners, known, gapMm));
  const [only] = runs;
  if (runs.length === 1 && only?.known?.kind === 'circle') {
    const { middle, radius } = only.known;
    return [{ kind: 'circle', middle, radius, role: 'side0' }];
  }
  const ends = runs.map((run, index) => junction(run, runs[(index + 1) % runs.length]!));
  return runs.map((run, index): Curve => {
    const [from, to] = [ends[(index + runs.length - 1) % runs.length]!, ends[index]!];
    const role = `side${index}`;
    if (run.known?.kind === 'circle') return { kind: 'arc', from, via: onArc(run, run.known), to, role };
    if (run.known || run.points.length === 2) return { kind: 'line', from, to, role };
    // Corners of a mesh lie a little in and out of the curve: through fewer of them it is smooth.
    return thinned({ kind: 'spline', points: [from, ...run.points.slice(1, -1), to], role }, gapMm);
  });
}

const apart = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);
const between = ([ax, ay]: Point, [bx, by]: Point): Point => [(ax + bx) / 2, (ay + by) / 2];

/** How far a point lies off the line through two others. */
const offLine = (point: Point, a: Point, b: Point) =>
  Math.abs((b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0])) /
  Math.max(apart(a, b), 1e-12);

/** Left out: corners on the line through their neighbours. */
function withoutStraightOn(points: readonly Point[]): Point[] {
  const kept: Point[] = [];
  points.forEach((point, index) => {
    const before = kept.at(-1) ?? points.at(-1)!;
    // Two rounded ends and a rounded corner: less than what is exact.
    if (offLine(point, before, points[(index + 1) % points.length]!) > EXACT_MM / 3) kept.push(point);
  });
  return kept;
}

/** The curve that a chord belongs to: of those that it is near enough to, the nearest, so that what lies close beside another is not taken for it. */
function knownCurveOf(a: Point, b: Point, known: readonly KnownCurve[], gapMm: number): KnownCurve | null {
  let [nearest, least]: [KnownCurve | null, number] = [null, Infinity];
  for (const curve of known) {
    const off = curve.kind === 'circle' ? offCircle(a, b, curve, gapMm) : offSegment(a, b, curve);
    if (off < least) [nearest, least] = [curve, off];
  }
  return nearest;
}

/** How far the ends of a chord lie off a circle; endless where it is none of its. Its middle, and what cuts it off, may lie within it by a gap. */
function offCircle(a: Point, b: Point, { middle, radius, withinMm }: KnownCircle, gapMm: number): number {
  const outs = [a, b, between(a, b)].map((point) => apart(point, middle) - radius);
  const isOne = outs.every((out) => out < withinMm + EXACT_MM && out > -gapMm - withinMm);
  return isOne ? Math.max(Math.abs(outs[0]!), Math.abs(outs[1]!)) : Infinity;
}

/** As offCircle, of a line as far as it goes. */
function offSegment(
  a: Point,
  b: Point,
  { from, to, withinMm }: Extract<KnownCurve, { kind: 'line' }>,
): number {
  const within = withinMm + EXACT_MM;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  const isAlong = [a, b].every((point) => {
    const along = ((point[0] - from[0]) * dx + (point[1] - from[1]) * dy) / length;
    return along > -within && along < length + within;
  });
  const off = Math.max(offLine(a, from, to), offLine(b, from, to));
  return isAlong && off < within ? off : Infinity;
}

/** Neighbouring chords of one curve together, all the way round. */
function runsOf(corners: readonly Point[], curves: readonly KnownCurve[], gapMm: number): Run[] {
  const runs: Run[] = [];
  corners.forEach((from, index) => {
    const to = corners[(index + 1) % corners.length]!;
    const known = knownCurveOf(from, to, curves, gapMm);
    const last = runs.at(-1);
    const goesOn = last && (known ? last.known === known : !last.known && isSmooth([...last.points, to]));
    if (goesOn) last.points.push(to);
    else runs.push({ known, points: [from, to] });
  });
  return runs.flatMap((run) => (run.known || run.points.length > FEWEST_CHORDS ? [run] : linesOf(run)));
}

const linesOf = ({ points }: Run): Run[] =>
  points.slice(1).map((to, index) => ({ known: null, points: [points[index]!, to] }));

/** Whether the last chord of a line goes on smoothly: a small turn, and no chord much longer than its neighbour. */
function isSmooth(points: readonly Point[]): boolean {
  const [a, b, c] = points.slice(-3) as [Point, Point, Point];
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  const turn = Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
  const share = Math.hypot(vx, vy) / Math.hypot(ux, uy);
  return turn < SMOOTH_TURN && share < 12 && share > 1 / 12;
}

/** The last run may go on as the first one. */
function joinedEnds(runs: Run[]): Run[] {
  const [first, last] = [runs[0], runs.at(-1)];
  if (!first?.known || !last || first === last || last.known !== first.known) return runs;
  return [{ ...first, points: [...last.points.slice(0, -1), ...first.points] }, ...runs.slice(1, -1)];
}

/** Where a run ends and the next one begins: on both exactly, as near as can be to the corner that they have in common. */
function junction(one: Run, next: Run): Point {
  let at = one.points.at(-1)!;
  // In turn onto the one and onto the other comes to where both meet; on both already, it stays.
  for (let turn = 0; turn < 200; turn += 1) {
    const moved = onto(onto(at, one, 'end'), next, 'begin');
    const way = apart(at, moved);
    at = moved;
    if (way < SETTLED_MM) break;
  }
  return at;
}

/** The nearest point of the curve of a run. Smooth lines keep their ends. */
function onto(point: Point, { known, points }: Run, end: 'begin' | 'end'): Point {
  if (known?.kind === 'circle') {
    const { middle, radius } = known;
    const share = radius / apart(point, middle);
    return [middle[0] + (point[0] - middle[0]) * share, middle[1] + (point[1] - middle[1]) * share];
  }
  if (!known && points.length > 2) return end === 'end' ? points.at(-1)! : points[0]!;
  const [a, b] = known ? [known.from, known.to] : (points as [Point, Point]);
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const along = ((point[0] - a[0]) * dx + (point[1] - a[1]) * dy) / (dx * dx + dy * dy);
  return [a[0] + along * dx, a[1] + along * dy];
}

/** A point of an arc about its middle. */
const onArc = ({ points }: Run, circle: KnownCircle): Point => {
  const half = points.length >> 1;
  const near = points.length === 2 ? between(points[0]!, points[1]!) : points[half]!;
  return onto(near, { known: circle, points }, 'begin');
};

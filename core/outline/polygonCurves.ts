import type { Curve, Point } from './curves';

/** A circle that runs of a polygon may have been made of. */
export interface KnownCircle {
  middle: Point;
  radius: number;
}

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
  circle: KnownCircle | null;
  points: Point[];
}

/**
 * A closed polygon that was made of curves, as these again: chords of a known circle are an arc of it, other runs that turn evenly are
 * a smooth line, the rest are lines. Ends of arcs lie where curves meet exactly.
 *
 * @param gapMm how far the middle of a chord may lie inside its circle.
 */
export function curvesOfPolygon(
  points: readonly Point[],
  circles: readonly KnownCircle[],
  gapMm: number,
): Curve[] {
  const corners = withoutStraightOn(points);
  const runs = joinedEnds(runsOf(corners, circles, gapMm));
  const [only] = runs;
  if (runs.length === 1 && only?.circle) return [{ kind: 'circle', ...only.circle, role: 'side0' }];
  const ends = runs.map((run, index) => junction(run, runs[(index + 1) % runs.length]!));
  return runs.map((run, index): Curve => {
    const [from, to] = [ends[(index + runs.length - 1) % runs.length]!, ends[index]!];
    const role = `side${index}`;
    if (run.circle) return { kind: 'arc', from, via: onArc(run, run.circle), to, role };
    if (run.points.length === 2) return { kind: 'line', from, to, role };
    return { kind: 'spline', points: [from, ...run.points.slice(1, -1), to], role };
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

/** The circle that a chord belongs to. */
const circleOf = (a: Point, b: Point, circles: readonly KnownCircle[], gapMm: number) =>
  circles.find(({ middle, radius }) =>
    [a, between(a, b), b].every((point) => {
      const out = apart(point, middle) - radius;
      return out < EXACT_MM && out > -gapMm;
    }),
  ) ?? null;

/** Neighbouring chords of one curve together, all the way round. */
function runsOf(corners: readonly Point[], circles: readonly KnownCircle[], gapMm: number): Run[] {
  const runs: Run[] = [];
  corners.forEach((from, index) => {
    const to = corners[(index + 1) % corners.length]!;
    const circle = circleOf(from, to, circles, gapMm);
    const last = runs.at(-1);
    const goesOn = last && (circle ? last.circle === circle : !last.circle && isSmooth([...last.points, to]));
    if (goesOn) last.points.push(to);
    else runs.push({ circle, points: [from, to] });
  });
  return runs.flatMap((run) => (run.circle || run.points.length > FEWEST_CHORDS ? [run] : linesOf(run)));
}

const linesOf = ({ points }: Run): Run[] =>
  points.slice(1).map((to, index) => ({ circle: null, points: [points[index]!, to] }));

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
  if (!first?.circle || !last || first === last || last.circle !== first.circle) return runs;
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
function onto(point: Point, { circle, points }: Run, end: 'begin' | 'end'): Point {
  if (circle) {
    const out = apart(point, circle.middle);
    const share = circle.radius / out;
    return [
      circle.middle[0] + (point[0] - circle.middle[0]) * share,
      circle.middle[1] + (point[1] - circle.middle[1]) * share,
    ];
  }
  if (points.length > 2) return end === 'end' ? points.at(-1)! : points[0]!;
  const [a, b] = points as [Point, Point];
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const along = ((point[0] - a[0]) * dx + (point[1] - a[1]) * dy) / (dx * dx + dy * dy);
  return [a[0] + along * dx, a[1] + along * dy];
}

/** A point of an arc about its middle. */
const onArc = ({ points }: Run, circle: KnownCircle): Point => {
  const half = points.length >> 1;
  const near = points.length === 2 ? between(points[0]!, points[1]!) : points[half]!;
  return onto(near, { circle, points }, 'begin');
};

import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import { scoped, type Scope, type Shape, type TaggedSolid } from '@core/shaping/kernel';
import type { DrawnCurve, Followed, SettledOutline } from '@core/record/model';
import { ownValue } from '@core/foundations/own';
import { minus } from '@core/foundations/vectors';
import { coordinatesOf, type Frame, type SeenCurve } from '@core/shaping/part';

import { drawingOf } from './outlinePlane';
import { edgesOfPicks, namedFace } from './picks';
import { cutsOf, seenCurve } from './seen';
import type { StepInput, StepNumbers } from './stepKind';

type Place = readonly [x: number, y: number];
type Drawing = Extract<SettledOutline, { shape: 'drawn' }>;
type Input = Pick<StepInput, 'before' | 'earlier' | 'bodyOf'>;

/** Where the curves and points of a drawing are that follow the part: lengths by their path in it, mm. */
type Places = Record<string, number>;

/** A step with what its drawing follows put where that is now; or what is not there, or of another form. */
export function withFollowed(numbers: StepNumbers, input: Input): Result<StepNumbers, StepFault> {
  const count = followingIn(numbers.step);
  if (count === 0) return ok(numbers);
  const own = drawingOf(numbers);
  // What follows in another drawing of the step has no place to be seen from.
  if (!own || followingIn(own.drawing) < count) return no({ code: 'outline.followsNowhere' });
  // Where its edge is would depend on what it follows, and that on where its edge is.
  if (own.plane.flush.some((held) => held !== 0)) return no({ code: 'outline.followsFlush' });
  const places = followedPlaces(own.drawing, own.plane.frame, input);
  if (!places.ok) return places;
  const put = Object.entries(places.value).map(([path, mm]): [string, NamedLength] => [
    path,
    { ...ownValue(own.lengths, path)!, mm },
  ]);
  const key = own.field === 'outline' ? 'outline' : 'drawnPath';
  return ok({
    ...numbers,
    lengths: { ...numbers.lengths, [key]: { ...own.lengths, ...Object.fromEntries(put) } },
  } as StepNumbers);
}

/** How many curves and points within data follow a part. */
function followingIn(data: unknown): number {
  if (typeof data !== 'object' || data === null) return 0;
  const own = 'follows' in data && data.follows !== undefined ? 1 : 0;
  return Object.values(data).reduce<number>((sum, inside) => sum + followingIn(inside), own);
}

/** Where everything is that a drawing follows, in its plane, mm; or what is not there. */
export function followedPlaces(drawing: Drawing, frame: Frame, input: Input): Result<Places, StepFault> {
  return scoped((scope) => {
    const places: Places = {};
    const put = (id: string, [x, y]: Place) => {
      const index = drawing.points.findIndex((point) => point.id === id);
      places[`points.${index}.x`] = x;
      places[`points.${index}.y`] = y;
    };
    for (const { id, follows } of drawing.points) {
      if (!follows) continue;
      const seen = seenNow(scope, follows, frame, input);
      if (!seen.ok) return seen;
      const found = seen.value();
      if (found.kind !== 'point') return no({ code: 'outline.followsOther', place: null });
      put(id, found.at);
    }
    for (const [index, curve] of drawing.curves.entries()) {
      if (!curve.follows) continue;
      const seen = seenNow(scope, curve.follows, frame, input);
      if (!seen.ok) return seen;
      const points = curve.kind === 'spline' ? curve.points.length : undefined;
      const found = alike(seen.value(points), curve, drawing);
      if (!found) return no({ code: 'outline.followsOther', place: index + 1 });
      for (const [id, at] of pointsSeen(curve, found)) put(id, at);
      if (found.kind === 'circle') places[`curves.${index}.diameter`] = 2 * found.radius;
    }
    return ok(places);
  });
}

/** What is followed as it is seen now, by so many points where it has no plain form. */
function seenNow(
  scope: Scope,
  follows: Followed,
  frame: Frame,
  input: Input,
): Result<(count?: number) => SeenCurve, StepFault> {
  const there = followedBody(follows, input);
  if (!there.ok) return there;
  const { solid, earlier } = there.value;
  const edge =
    'edge' in follows
      ? edgesOfPicks(scope, solid, [follows.edge], earlier)
      : cutOfPick(scope, solid, follows.cut, frame, earlier);
  if (!edge.ok) return edge;
  return ok((count) => seenCurve(solid.kernel, scope, edge.value[0]!, frame, count));
}

function followedBody(
  { body }: Followed,
  { before, earlier, bodyOf }: Input,
): Result<{ solid: TaggedSolid; earlier: StepInput['earlier'] }, StepFault> {
  if (body !== undefined) {
    const other = bodyOf(body);
    return other.ok ? ok({ solid: other.value.solid, earlier: other.value.steps }) : other;
  }
  return before ? ok({ solid: before, earlier }) : no({ code: 'outline.notHere' });
}

/** The line in which a plane cuts a face; of several, the one nearest to where it was picked. */
function cutOfPick(
  scope: Scope,
  solid: TaggedSolid,
  { tag, near }: Extract<Followed, { cut: unknown }>['cut'],
  frame: Frame,
  earlier: StepInput['earlier'],
): Result<Shape[], StepFault> {
  const origins = solid.originMap();
  const found = cutsOf(scope, solid, frame).filter(({ face }) => origins.get(face)?.includes(tag));
  if (found.length === 0)
    return no({ code: 'step.pickLost', lookingFor: { is: 'face', face: namedFace(tag, earlier) }, tag });
  const far = found.map(({ edge }) => {
    const curve = scope.keep(new solid.kernel.BRepAdaptor_Curve(scope.keep(solid.kernel.TopoDS.Edge(edge))));
    const middle = curve.Value((curve.FirstParameter() + curve.LastParameter()) / 2);
    return Math.hypot(...minus(coordinatesOf(scope.keep(middle)), near));
  });
  return ok([found[far.indexOf(Math.min(...far))]!.edge]);
}

/** What is seen as the curve that follows it has it, the way round that it was drawn; null if it is of another form. */
function alike(seen: SeenCurve, curve: DrawnCurve, { points }: Drawing): SeenCurve | null {
  if (seen.kind !== curve.kind) return null;
  if (seen.kind === 'circle') return seen;
  if (seen.kind === 'spline') {
    const drawn = curve as Extract<DrawnCurve, { kind: 'spline' }>;
    if (seen.closed !== drawn.closed || seen.points.length !== drawn.points.length) return null;
    if (seen.closed) return seen;
  }
  const ids =
    curve.kind === 'spline'
      ? [curve.points[0], curve.points.at(-1)]
      : 'from' in curve
        ? [curve.from, curve.to]
        : [];
  const [from, to] = ids.map((id) => points.find((point) => point.id === id)!) as [Drawn, Drawn];
  const [start, end] = seen.kind === 'spline' ? [seen.points[0]!, seen.points.at(-1)!] : [seen.from, seen.to];
  const way = (end[0] - start[0]) * lastSeen(to.x, from.x) + (end[1] - start[1]) * lastSeen(to.y, from.y);
  return way >= 0 ? seen : turnedRound(seen);
}
type Drawn = Drawing['points'][number];

/** By how much one coordinate was beyond another when they were seen last, mm. */
const lastSeen = (one: Drawn['x'], other: Drawn['x']): number =>
  one.from === 'number' && other.from === 'number' ? one.mm - other.mm : 0;

/** From its other end. */
function turnedRound(seen: Exclude<SeenCurve, { kind: 'circle' | 'point' }>): SeenCurve {
  return seen.kind === 'spline'
    ? { ...seen, points: seen.points.toReversed() }
    : { ...seen, from: seen.to, to: seen.from };
}

/** Points of a drawn curve with where they are. */
function pointsSeen(curve: DrawnCurve, seen: SeenCurve): (readonly [string, Place])[] {
  if (curve.kind === 'line' && seen.kind === 'line')
    return [
      [curve.from, seen.from],
      [curve.to, seen.to],
    ];
  if (curve.kind === 'arc' && seen.kind === 'arc')
    return [
      [curve.from, seen.from],
      [curve.via, seen.via],
      [curve.to, seen.to],
    ];
  if (curve.kind === 'circle' && seen.kind === 'circle') return [[curve.middle, seen.middle]];
  if (curve.kind === 'spline' && seen.kind === 'spline')
    return curve.points.map((id, index) => [id, seen.points[index]!] as const);
  return [];
}

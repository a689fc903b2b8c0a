import { cross, dot, eachAxis, minus, unit, type Vec3 } from '@core/foundations/vectors';

import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import type { TaggedSolid } from './tagged';

/** Surfaces that differ by less are one, mm. */
const SAME_MM = 1e-6;
const WHOLE_TURN = 2 * Math.PI - 1e-6;
const ROUND = ['GeomAbs_Cylinder', 'GeomAbs_Cone', 'GeomAbs_Torus'];
type Surface = InstanceType<Kernel['BRepAdaptor_Surface']>;

/**
 * Whether a part of a round wall lies in the very surface of one that goes all the way round: a dog on a sleeve. Made one face, across the seam of
 * the whole one, such walls cross or never come to an end (kernel-notes), so they stay apart.
 */
export function sharesRoundWall(body: TaggedSolid, tools: readonly TaggedSolid[]): boolean {
  return scoped((scope) => {
    const own = roundWalls(
      body.kernel,
      scope,
      tools.flatMap((tool) => tool.faceList()),
    );
    if (own.whole.length === 0 && own.parts.length === 0) return false;
    const others = roundWalls(body.kernel, scope, body.faceList());
    return (
      own.parts.some((part) => others.whole.some((wall) => liesIn(part, wall))) ||
      others.parts.some((part) => own.whole.some((wall) => liesIn(part, wall)))
    );
  });
}

/** A round wall that goes all the way round, as its profile: how far out and up its points are, seen from its axis. mm. */
interface WholeWall {
  kind: string;
  at: Vec3;
  axis: Vec3;
  /** How far a point of its half plane is off the profile, mm. */
  off(out: number, up: number): number;
}

interface PartOfWall {
  kind: string;
  points: readonly Vec3[];
}

function roundWalls(kernel: Kernel, scope: Scope, faces: readonly Shape[]) {
  const whole: WholeWall[] = [];
  const parts: PartOfWall[] = [];
  for (const face of faces) {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    const kind = surface.GetType();
    if (!ROUND.includes(kind)) continue;
    const isWhole = surface.LastUParameter() - surface.FirstUParameter() > WHOLE_TURN;
    if (isWhole) whole.push(wholeWall(kind, scope, surface));
    else parts.push({ kind, points: pointsOf(scope, surface) });
  }
  return { whole, parts };
}

const pointAt = (scope: Scope, surface: Surface, u: number, v: number): Vec3 => {
  const point = scope.keep(surface.Value(u, v));
  return [point.X(), point.Y(), point.Z()];
};

/** Shares along a face at which it is looked at. */
const SHARES = [0, 0.43, 1];

function pointsOf(scope: Scope, surface: Surface): Vec3[] {
  const [u0, u1] = [surface.FirstUParameter(), surface.LastUParameter()];
  const [v0, v1] = [surface.FirstVParameter(), surface.LastVParameter()];
  return SHARES.map((share, index) =>
    pointAt(scope, surface, u0 + share * (u1 - u0), v0 + SHARES[2 - index]! * (v1 - v0)),
  );
}

/** The same of a whole wall: a ring that is whole both ways ends where it begins. */
const RINGS = [0, 0.43, 0.8];

function wholeWall(kind: string, scope: Scope, surface: Surface): WholeWall {
  const [v0, v1] = [surface.FirstVParameter(), surface.LastVParameter()];
  const third = (2 * Math.PI) / 3;
  const ringAt = (share: number) =>
    [0, 1, 2].map((step) => pointAt(scope, surface, step * third, v0 + share * (v1 - v0)));
  const rings = RINGS.map(ringAt);
  // The middle ring of the three: the ends of a cone may be points.
  const [a, b, c] = rings[1] as [Vec3, Vec3, Vec3];
  const at: Vec3 = eachAxis((one) => (a[one] + b[one] + c[one]) / 3);
  const axis = unit(cross(minus(b, a), minus(c, a)));
  const [p, q, r] = rings.map((ring) => seenFrom({ at, axis }, ring[0]!)) as [OutUp, OutUp, OutUp];
  return { kind, at, axis, off: kind === 'GeomAbs_Torus' ? offCircle(p, q, r) : offLine(p, r) };
}

type OutUp = readonly [out: number, up: number];

function seenFrom({ at, axis }: Pick<WholeWall, 'at' | 'axis'>, point: Vec3): OutUp {
  const from = minus(point, at);
  const up = dot(from, axis);
  return [Math.hypot(...from.map((mm, index) => mm - up * axis[index]!)), up];
}

function offLine(from: OutUp, to: OutUp): WholeWall['off'] {
  const [x, y] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(x, y);
  return (out, up) => Math.abs((out - from[0]) * y - (up - from[1]) * x) / length;
}

/** Off the circle through three points. */
function offCircle(p: OutUp, q: OutUp, r: OutUp): WholeWall['off'] {
  const twice = 2 * (p[0] * (q[1] - r[1]) + q[0] * (r[1] - p[1]) + r[0] * (p[1] - q[1]));
  const [pp, qq, rr] = [p, q, r].map(([out, up]) => out * out + up * up) as [number, number, number];
  const x = (pp * (q[1] - r[1]) + qq * (r[1] - p[1]) + rr * (p[1] - q[1])) / twice;
  const y = (pp * (r[0] - q[0]) + qq * (p[0] - r[0]) + rr * (q[0] - p[0])) / twice;
  const radius = Math.hypot(p[0] - x, p[1] - y);
  return (out, up) => Math.abs(Math.hypot(out - x, up - y) - radius);
}

const liesIn = (part: PartOfWall, wall: WholeWall): boolean =>
  part.kind === wall.kind && part.points.every((point) => wall.off(...seenFrom(wall, point)) < SAME_MM);

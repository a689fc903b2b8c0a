import { no, ok, type Result } from '@core/foundations/fault';
import {
  type Kernel,
  type Shape,
  broughtTo,
  turnedLoop,
  scoped,
  type Scope,
  type TaggedSolid,
} from '@core/shaping/kernel';
import type { Curve, Point } from '@core/shaping/outline';
import { type Vec3, along, cross, dot, minus, unit } from '@core/foundations/vectors';
import { coordinatesOf, type Frame, plainPlacement, type FaceTag } from '@core/shaping/part';
import { isFullTurn } from '@core/foundations/tolerance';

/** Why a face can't be moved by itself: it is of another form, or nothing would be left of it. */
export type PlateFault = 'offset.otherForm' | 'offset.pastMiddle';

/** A face that goes round an axis, seen in a half plane through it. */
interface RoundFace {
  kind: 'straight' | 'ball';
  /** Its axis is z, and x leads to where it begins. */
  frame: Frame;
  /** Where it begins and ends: distance from the axis, and height. */
  ends: readonly [Point, Point];
  /** Half way between. */
  middle: Point;
  /** The material lies outside it, as of a hole. */
  isHole: boolean;
  /** How far round it goes, radians. */
  by: number;
}

/** Nearer to the axis than this it is a tip or a pole, mm. */
const TIP_MM = 1e-6;

/**
 * Between a cylinder, a cone or a ball and itself moved out by a length, as far round as the face goes; its ends are
 * level, as most faces beside it are. Made afresh: the kernel's own thickened faces do not join without leaving open
 * edges.
 */
export function roundPlate(
  kernel: Kernel,
  face: Shape,
  tag: FaceTag,
  mm: number,
): Result<TaggedSolid, PlateFault> {
  const round = scoped((scope) => roundFaceOf(kernel, scope, face));
  if (!round) return no('offset.otherForm');
  const out = round.isHole ? -mm : mm;
  const loop = round.kind === 'ball' ? ballSection(round, out) : straightSection(round, out);
  if (!loop) return no('offset.pastMiddle');
  const part = isFullTurn(round.by) ? undefined : { from: 0, by: round.by };
  const stand = { ...plainPlacement(null), frame: round.frame };
  return ok(
    broughtTo(
      stand,
      turnedLoop(kernel, loop, [0, 0], () => tag, part),
    ),
  );
}

function roundFaceOf(kernel: Kernel, scope: Scope, face: Shape): RoundFace | null {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  const type = surface.GetType();
  const isBall = type === 'GeomAbs_Sphere';
  if (!isBall && type !== 'GeomAbs_Cylinder' && type !== 'GeomAbs_Cone') return null;
  const [u0, u1] = [surface.FirstUParameter(), surface.LastUParameter()];
  const [v0, v1] = [surface.FirstVParameter(), surface.LastVParameter()];
  const point = (u: number, v: number) => coordinatesOf(scope.keep(surface.Value(u, v)));
  // The mean of three points a third of a turn from each other lies on the axis, whatever the surface.
  const thirds = (v: number) =>
    [0, 1, 2].map((n) => point(u0 + (n * 2 * Math.PI) / 3, v)) as [Vec3, Vec3, Vec3];
  const footOf = (v: number) => {
    const [a, b, c] = thirds(v);
    return along([0, 0, 0], along(along(a, b, 1), c, 1), 1 / 3);
  };
  const vm = (v0 + v1) / 2;
  const [a, b, c] = thirds(vm);
  const origin = footOf(vm);
  const [x, z] = [unit(minus(a, origin)), unit(cross(minus(b, a), minus(c, a)))];
  const seen = (v: number): Point => {
    const from = minus(point(u0, v), origin);
    return [Math.max(0, dot(from, x)), dot(from, z)];
  };
  const [du, dv] = [scope.keep(surface.EvalDN(u0, vm, 1, 0)), scope.keep(surface.EvalDN(u0, vm, 0, 1))];
  const normal = cross(coordinatesOf(du), coordinatesOf(dv));
  const isReversed = face.Orientation() === 'TopAbs_REVERSED';
  return {
    kind: isBall ? 'ball' : 'straight',
    frame: { origin, x, y: cross(z, x), z },
    ends: [seen(v0), seen(v1)],
    middle: seen(vm),
    isHole: dot(normal, x) < 0 !== isReversed,
    by: u1 - u0,
  };
}

const lineTo = (from: Point, to: Point): Curve[] =>
  Math.hypot(to[0] - from[0], to[1] - from[1]) < TIP_MM ? [] : [{ kind: 'line', from, to, role: 'plate' }];

/** Of a cylinder or a cone, null if nothing is left of it: beside it, or up to the tip that it has then. */
function straightSection({ ends: [a, b] }: RoundFace, out: number): Curve[] | null {
  const [dr, dh] = [b[0] - a[0], b[1] - a[1]];
  const aside = (out * Math.hypot(dr, dh)) / Math.abs(dh);
  if (Math.max(a[0], b[0]) + aside <= TIP_MM) return null;
  const movedEnd = (end: Point): Point =>
    end[0] > TIP_MM && end[0] + aside > 0 ? [end[0] + aside, end[1]] : [0, a[1] - ((a[0] + aside) * dh) / dr];
  const [c, d] = [movedEnd(a), movedEnd(b)];
  return [...lineTo(a, b), ...lineTo(b, d), ...lineTo(d, c), ...lineTo(c, a)];
}

/** Of a ball, null if nothing is left of it: between it and one about the same middle. */
function ballSection({ ends, middle }: RoundFace, out: number): Curve[] | null {
  const [a, b] = ends;
  // On the axis, as far from an end as from half way: r² + (h - m)² is the same at both.
  const m = (a[0] ** 2 + a[1] ** 2 - middle[0] ** 2 - middle[1] ** 2) / (2 * (a[1] - middle[1]));
  const radius = Math.hypot(middle[0], middle[1] - m);
  const other = radius + out;
  if (other <= TIP_MM) return null;
  const movedEnd = (end: Point): Point => {
    const high = end[1] - m;
    const isPole = end[0] < TIP_MM || Math.abs(high) >= other;
    return isPole ? [0, m + Math.sign(high) * other] : [Math.sqrt(other ** 2 - high ** 2), end[1]];
  };
  const [c, d] = [movedEnd(a), movedEnd(b)];
  const turnOf = ([r, h]: Point) => Math.atan2(h - m, r);
  const half = (turnOf(c) + turnOf(d)) / 2;
  const via: Point = [other * Math.cos(half), m + other * Math.sin(half)];
  return [
    { kind: 'arc', from: a, via: middle, to: b, role: 'plate' },
    ...lineTo(b, d),
    { kind: 'arc', from: d, via, to: c, role: 'plate' },
    ...lineTo(c, a),
  ];
}

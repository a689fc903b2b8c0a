import { along, cross, dot, minus, unit, type Vec3 } from '@core/foundations/vectors';
import { coordinatesOf, type Frame } from '@core/shaping/part';
import { isSameLength, isSamePoint } from '@core/foundations/tolerance';

import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';
import { roundLine, straightLine, type OutUp, type SpunLine } from './spunLine';
import { partsOf } from './topology';

/** Surfaces that a line makes as it turns about an axis: by whether the line is round. */
const SPUN: ReadonlyMap<unknown, boolean> = new Map([
  ['GeomAbs_Cylinder', false],
  ['GeomAbs_Cone', false],
  ['GeomAbs_Torus', true],
  ['GeomAbs_Sphere', true],
]);

/** What is nearer to the axis has no ways to go by, mm. */
const AT_AXIS_MM = 1e-4;

const SIDES = ['bottom', 'top', 'left', 'right'] as const;
type Side = (typeof SIDES)[number];

/**
 * A piece of such a surface between two circles about its axis and two places of its line: most faces of turned parts, holes, rounds and
 * eases.
 */
export interface SpunPatch {
  /** A point of the axis, the way that angles are counted from and to, and the axis. */
  frame: Frame;
  /** Angles about the axis, radians: where its left and right sides are. */
  from: number;
  to: number;
  /** From the lower side to the upper. */
  line: SpunLine;
  /** The edge on each side; the same one left and right where it goes all the way round. */
  edges: Readonly<Record<Side, Shape>>;
  isReversed: boolean;
}

/** How far out from a frame's axis, and how far up, a point is. */
export const outUp = ({ origin, x, y, z }: Frame, point: Vec3): OutUp => {
  const from = minus(point, origin);
  return [Math.hypot(dot(from, x), dot(from, y)), dot(from, z)];
};

/** The patch that a face is; null if it is none. Its edges belong to the scope. */
export function spunPatchOf(kernel: Kernel, scope: Scope, face: Shape): SpunPatch | null {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  const isRound = SPUN.get(surface.GetType());
  if (isRound === undefined) return null;
  const all = partsOf(kernel, scope, face, 'TopAbs_EDGE');
  if (all.length !== 4) return null;
  const at = (u: number, v: number): Vec3 => coordinatesOf(scope.keep(surface.Value(u, v)));
  const [from, to] = [surface.FirstUParameter(), surface.LastUParameter()];
  const [low, high] = [surface.FirstVParameter(), surface.LastVParameter()];
  const [outer, across, aside] = [at(0, low), at(Math.PI, low), at(Math.PI / 2, low)];
  const origin = along(outer, minus(across, outer), 0.5);
  const x = unit(minus(outer, origin));
  const y = unit(minus(aside, origin));
  const frame: Frame = { origin, x, y, z: cross(x, y) };
  const profile = (v: number): OutUp => {
    const point = minus(at(0, v), origin);
    return [dot(point, x), dot(point, frame.z)];
  };
  const [begins, half, ends] = [profile(low), profile((low + high) / 2), profile(high)];
  // Past its axis a surface looks the other way.
  if (Math.min(begins[0], half[0], ends[0]) < AT_AXIS_MM) return null;
  let line = straightLine(begins, ends);
  if (isRound) {
    const opposite = profile(low + Math.PI);
    const middle: OutUp = [(begins[0] + opposite[0]) / 2, (begins[1] + opposite[1]) / 2];
    const [a, b] = [begins[0] - middle[0], begins[1] - middle[1]];
    const quarter = profile(low + Math.PI / 2);
    const isClockwise = a * (quarter[1] - middle[1]) - b * (quarter[0] - middle[0]) < 0;
    line = roundLine(begins, middle, isClockwise ? low - high : high - low);
  }
  const edges = sidesOf(kernel, scope, all, { frame, from, to, begins, ends });
  return edges && { frame, from, to, line, edges, isReversed: face.Orientation() === 'TopAbs_REVERSED' };
}

/** Which edge is on which side; null where one is on none. */
function sidesOf(
  kernel: Kernel,
  scope: Scope,
  all: readonly Shape[],
  { frame, from, to, begins, ends }: { frame: Frame; from: number; to: number; begins: OutUp; ends: OutUp },
): Record<Side, Shape> | null {
  const onCircle = (circle: OutUp) => (point: Vec3) => {
    const [out, up] = outUp(frame, point);
    return isSamePoint([out, up], circle);
  };
  const atTurn = (turn: number) => {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    return (point: Vec3) => {
      const rest = minus(point, frame.origin);
      const [a, b] = [dot(rest, frame.x), dot(rest, frame.y)];
      return isSameLength(b * cos, a * sin) && a * cos + b * sin > 0;
    };
  };
  const isOn: Record<Side, (point: Vec3) => boolean> = {
    bottom: onCircle(begins),
    top: onCircle(ends),
    left: atTurn(from),
    right: atTurn(to),
  };
  const found: Partial<Record<Side, Shape>> = {};
  for (const edge of all) {
    const one = scope.keep(kernel.TopoDS.Edge(edge));
    if (kernel.BRep_Tool.Degenerated(one)) return null;
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(one));
    const type = curve.GetType();
    if (type !== 'GeomAbs_Circle' && type !== 'GeomAbs_Line') return null;
    const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
    // Three points settle which circle or straight line it is.
    const points = [0, 0.5, 1].map((share) =>
      coordinatesOf(scope.keep(curve.Value(first + (last - first) * share))),
    );
    const side = SIDES.find((name) => !found[name] && points.every(isOn[name]));
    if (!side) return null;
    found[side] = edge;
  }
  const { bottom, top, left, right } = found;
  return bottom && top && left && right ? { bottom, top, left, right } : null;
}

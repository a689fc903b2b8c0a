import {
  type Kernel,
  framePlane,
  outlineFace,
  scoped,
  type Scope,
  smoothCurve,
  tagFresh,
  type TaggedSolid,
  listed,
  ShapeMap,
} from '@core/shaping/kernel';
import type { Loop } from '@core/shaping/outline';
import { type Vec3, along, cross, dot, minus, rotated, unit } from '@core/foundations/vectors';
import { coordinatesOf, type Frame, frameFacing, type FaceTag, KernelRefusal } from '@core/shaping/part';
import { KERNEL_MM, SAME_ANGLE, isNothing } from '@core/foundations/tolerance';

/** A piece of a path in space, mm. */
export type PathPiece =
  | { kind: 'line'; from: Vec3; to: Vec3 }
  | { kind: 'arc'; from: Vec3; via: Vec3; to: Vec3 }
  /** `part`: from one share of its parameter to another. */
  | { kind: 'smooth'; points: readonly Vec3[]; closed: boolean; part?: readonly [number, number] };

/**
 * A path from point to point whose bends are rounded. Null where the legs are too short for the bends; a bend of zero
 * leaves corners sharp. A closed path begins in the middle of its first leg.
 */
export function bentPath(points: readonly Vec3[], bend: number, closed: boolean): PathPiece[] | null {
  const count = points.length;
  const corner = (index: number) => {
    const [before, at, after] = [
      points[(index + count - 1) % count]!,
      points[index]!,
      points[(index + 1) % count]!,
    ];
    const [back, on] = [minus(before, at), minus(after, at)];
    const [u, v] = [unit(back), unit(on)];
    const half = Math.acos(Math.max(-1, Math.min(1, dot(u, v)))) / 2;
    const isStraight = half > Math.PI / 2 - SAME_ANGLE;
    const trim = bend === 0 || isStraight ? 0 : bend / Math.tan(half);
    const middle = unit(along(u, v, 1));
    return {
      at,
      trim,
      from: along(at, u, trim),
      to: along(at, v, trim),
      via: along(at, middle, bend / Math.sin(half) - bend),
    };
  };
  const inner = Array.from({ length: count }, (_, index) => index).filter(
    (index) => closed || (index > 0 && index < count - 1),
  );
  const corners = new Map(inner.map((index) => [index, corner(index)]));
  const legs = closed ? count : count - 1;
  const pieces: PathPiece[] = [];
  for (let leg = 0; leg < legs; leg += 1) {
    const [a, b] = [leg, (leg + 1) % count];
    const [from, to] = [corners.get(a)?.to ?? points[a]!, corners.get(b)?.from ?? points[b]!];
    const room = Math.hypot(...minus(points[b]!, points[a]!));
    if (isNothing(room) || (corners.get(a)?.trim ?? 0) + (corners.get(b)?.trim ?? 0) > room + KERNEL_MM)
      return null;
    const isLeft = Math.hypot(...minus(to, from)) > KERNEL_MM;
    if (isLeft) pieces.push({ kind: 'line', from, to });
    const turn = corners.get(b);
    if (turn && turn.trim > 0) pieces.push({ kind: 'arc', from: turn.from, via: turn.via, to: turn.to });
  }
  return pieces;
}

/** Samples along each smooth piece when its sharpest bend is looked for. */
const BEND_SAMPLES = 64;

/**
 * The smallest radius that a path bends with, mm: of arcs; of smooth pieces by their curvature |r′ × r″| / |r′|³ at samples; of
 * corners that are left sharp, how far an outline may reach from the path before its mitre eats up a leg. Infinity for
 * a straight one.
 */
export function sharpestBend(kernel: Kernel, path: readonly PathPiece[]): number {
  return scoped((scope) => {
    const radii = path.flatMap((piece, index) => {
      if (piece.kind === 'arc') return [arcRadius(piece)];
      if (piece.kind !== 'smooth') {
        const next = path[index + 1];
        if (piece.kind !== 'line' || next?.kind !== 'line') return [];
        const [u, v] = [minus(piece.from, piece.to), minus(next.to, next.from)];
        const legs = Math.min(Math.hypot(...u), Math.hypot(...v));
        const half = Math.acos(Math.max(-1, Math.min(1, dot(unit(u), unit(v))))) / 2;
        return [(legs / 2) * Math.tan(half)];
      }
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(pathEdge(kernel, scope, piece)));
      const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
      return Array.from({ length: BEND_SAMPLES + 1 }, (_, sample) => {
        const at = first + ((last - first) * sample) / BEND_SAMPLES;
        const [d1, d2] = [1, 2].map((order) => {
          const vector = scope.keep(curve.EvalDN(at, order));
          return coordinatesOf(vector);
        }) as [Vec3, Vec3];
        const bent = Math.hypot(...cross(d1, d2));
        return bent < 1e-12 ? Infinity : Math.hypot(...d1) ** 3 / bent;
      });
    });
    return Math.min(Infinity, ...radii);
  });
}

/** Radius of the circle through three points: product of the sides over four times the area. */
function arcRadius({ from, via, to }: Extract<PathPiece, { kind: 'arc' }>): number {
  const [a, b, c] = [minus(via, from), minus(to, via), minus(to, from)];
  const sides = [a, b, c].reduce((product, side) => product * Math.hypot(...side), 1);
  return sides / (2 * Math.hypot(...cross(a, c)));
}

/** Ways that differ by less go on from each other, radians. */
const GOES_ON = 1e-4;

/** Whether a path has a corner between two of its pieces; of a closed one also where its ends meet. */
export function hasCorner(kernel: Kernel, path: readonly PathPiece[], closed: boolean): boolean {
  return scoped((scope) =>
    path.some((piece, index) => {
      const next = path[index + 1] ?? (closed ? path[0] : undefined);
      if (!next || (closed && path.length === 1)) return false;
      const [out, into] = [
        tangentOf(kernel, scope, piece, 'last').direction,
        tangentOf(kernel, scope, next, 'first').direction,
      ];
      return Math.hypot(...cross(out, into)) > GOES_ON || dot(out, into) < 0;
    }),
  );
}

/**
 * An outline run along a path. It stands square to the path's beginning; `ending`, if any, square to its end.
 * `nameFace` gets the roles of the outline, 'start', 'end', and 'side' for what has no parent.
 */
export function swept(
  kernel: Kernel,
  loop: Loop,
  path: readonly PathPiece[],
  ending: Loop | null,
  sharp: boolean,
  nameFace: (role: string) => FaceTag,
): TaggedSolid {
  return scoped((scope) => {
    const spine = scope.keep(new kernel.BRepBuilderAPI_MakeWire());
    for (const piece of path) spine.Add(pathEdge(kernel, scope, piece));
    const wire = scope.keep(spine.Wire());
    const start = startOf(kernel, scope, path);
    const { face, wire: profile, roles } = outlineFace(kernel, scope, loop, framePlane(start));
    const names = new ShapeMap<FaceTag>(kernel);
    if (!ending && !sharp) {
      const pipe = scope.keep(new kernel.BRepOffsetAPI_MakePipe(wire, face));
      if (!pipe.IsDone()) throw new KernelRefusal('the run failed');
      for (const [edge, role] of roles.entries()) {
        for (const made of listed(scope, pipe.Generated(edge))) names.set(made, nameFace(role));
      }
      names.set(scope.keep(pipe.FirstShape()), nameFace('start'));
      names.set(scope.keep(pipe.LastShape()), nameFace('end'));
      return tagFresh(kernel, pipe.Shape(), (one) => names.get(one) ?? nameFace('side'));
    }
    const pipe = scope.keep(new kernel.BRepOffsetAPI_MakePipeShell(wire));
    // A corner that is left sharp is mitred; 'Transformed' gives wrong volumes (kernel-notes).
    pipe.SetTransitionMode('BRepBuilderAPI_RightCorner');
    pipe.Add(profile, false, false);
    if (ending) {
      const last = endOf(kernel, scope, path, start);
      pipe.Add(outlineFace(kernel, scope, ending, framePlane(last)).wire, false, false);
    }
    pipe.Build(scope.keep(new kernel.Message_ProgressRange()));
    if (!pipe.IsDone() || !pipe.MakeSolid()) throw new KernelRefusal('the run failed');
    names.set(scope.keep(pipe.FirstShape()), nameFace('start'));
    names.set(scope.keep(pipe.LastShape()), nameFace('end'));
    return tagFresh(kernel, pipe.Shape(), (one) => names.get(one) ?? nameFace('side'));
  });
}

function pathEdge(kernel: Kernel, scope: Scope, piece: PathPiece) {
  const point = (at: Vec3) => scope.keep(new kernel.gp_Pnt(...at));
  if (piece.kind === 'line') {
    const maker = scope.keep(new kernel.BRepBuilderAPI_MakeEdge(point(piece.from), point(piece.to)));
    return scope.keep(maker.Edge());
  }
  if (piece.kind === 'arc') {
    const arc = scope.keep(
      new kernel.GC_MakeArcOfCircle(point(piece.from), point(piece.via), point(piece.to)),
    );
    return scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeEdge(scope.keep(arc.Value()))).Edge());
  }
  const curve = smoothCurve(kernel, scope, piece.points, piece);
  if (piece.part) {
    const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
    const [from, to] = piece.part.map((share) => first + share * (last - first)) as [number, number];
    return scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeEdge(curve, from, to)).Edge());
  }
  return scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeEdge(curve)).Edge());
}

/** Axes square to the beginning of a path, by the curve's own tangent. */
function startOf(kernel: Kernel, scope: Scope, path: readonly PathPiece[]): Frame {
  const { at, direction } = tangentOf(kernel, scope, path[0]!, 'first');
  return frameFacing(at, direction);
}

/** Axes square to the end, turned as little as can be from those at the beginning. */
function endOf(kernel: Kernel, scope: Scope, path: readonly PathPiece[], start: Frame): Frame {
  const { at, direction } = tangentOf(kernel, scope, path.at(-1)!, 'last');
  const axis = cross(start.z, direction);
  const sine = Math.hypot(...axis);
  if (sine < SAME_ANGLE) return { ...start, origin: at };
  // By the angle between the two directions.
  const turned = (v: Vec3) => rotated(v, unit(axis), dot(start.z, direction), sine);
  return { origin: at, x: turned(start.x), y: turned(start.y), z: direction };
}

function tangentOf(kernel: Kernel, scope: Scope, piece: PathPiece, end: 'first' | 'last') {
  const edge = scope.keep(new kernel.BRepAdaptor_Curve(pathEdge(kernel, scope, piece)));
  const at = end === 'first' ? edge.FirstParameter() : edge.LastParameter();
  const point = scope.keep(edge.Value(at));
  const tangent = scope.keep(edge.EvalDN(at, 1));
  return {
    at: coordinatesOf(point),
    direction: unit(coordinatesOf(tangent)),
  };
}

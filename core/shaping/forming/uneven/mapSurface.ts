import { type Vec3, along, cross, dot, minus, unit } from '@core/foundations/vectors';
import { frameFacing, toWorld, wayToWorld, type Affine } from '@core/shaping/part';

import { fittedSpline, type FittedSpline } from './fittedSpline';
import { UNCHANGED, type FlatMap } from './flatMap';
import type { Axes, Surface } from './geometry';
import { asSpline, isSame, isSquare, mapKept, type Range } from './mapCurve';

/** A surface mapped, and what has become of its parameters. */
export interface MappedSurface {
  surface: Surface;
  flat: FlatMap;
}

/** The part of a surface that its edges take. */
export interface Reach {
  u: Range;
  v: Range;
}

const lengthOf = (direction: Vec3) => Math.hypot(...direction);

const stretchedAlong = (by: number): FlatMap => ({ u: [1, 0], v: [0, by] });

/** How much a map stretches across an axis, if it does so evenly and leaves the axis square to it; otherwise null. */
function evenAcross(axis: Vec3, x: Vec3, y: Vec3): number | null {
  const isEven = isSame(lengthOf(x), lengthOf(y)) && isSquare(x, y) && isSquare(axis, x) && isSquare(axis, y);
  return isEven ? lengthOf(x) : null;
}

/**
 * Maps a surface so that its parameters stay what they are, or change by a flat map: planes stay planes, cylinders and
 * cones stay such where the map is even across their axes, the others become splines: exactly where they are
 * polynomial, and to some 1e-10 of their radius where they are round.
 */
export function mapSurface(surface: Surface, map: Affine, reach: Reach): MappedSurface {
  switch (surface.kind) {
    case 'plane':
      return mapPlane(surface, map);
    case 'run': {
      const direction = wayToWorld(map, surface.direction);
      const curve = mapKept(surface.curve, map, reach.u);
      return {
        surface: { kind: 'run', direction: unit(direction), curve },
        flat: stretchedAlong(lengthOf(direction)),
      };
    }
    case 'spun':
      return { surface: mapSpun(surface, map, reach), flat: UNCHANGED };
    case 'splines':
      return {
        surface: { ...surface, poles: surface.poles.map((row) => row.map((pole) => toWorld(map, pole))) },
        flat: UNCHANGED,
      };
    default:
      return mapRound(surface, map, reach);
  }
}

function mapPlane({ sizes, ...plane }: Axes & { sizes: readonly number[] }, map: Affine): MappedSurface {
  const [right, back] = [wayToWorld(map, plane.x), wayToWorld(map, plane.y)];
  const x = unit(right);
  const y = unit(along(back, x, -dot(back, x)));
  // Its axis says on which side it looks, whichever way round its own ways go.
  const axis = along([0, 0, 0], cross(x, y), Math.sign(dot(cross(plane.x, plane.y), plane.axis)));
  return {
    surface: { kind: 'plane', at: toWorld(map, plane.at), axis, x, y, sizes },
    flat: { u: [lengthOf(right), 0], v: [dot(back, x), dot(back, y)] },
  };
}

type Round = Extract<Surface, { sizes: readonly number[] }>;

/** How far from its axis and how far along it a round surface is, at its second parameter. */
function profileOf({ kind, sizes }: Round): readonly [(v: number) => number, (v: number) => number] {
  const [first, second] = sizes as [number, number];
  switch (kind) {
    case 'ball':
      return [(v) => first * Math.cos(v), (v) => first * Math.sin(v)];
    case 'ring':
      return [(v) => first + second * Math.cos(v), (v) => second * Math.sin(v)];
    case 'cone':
      return [(v) => first + v * Math.sin(second), (v) => v * Math.cos(second)];
    default:
      return [() => first, (v) => v];
  }
}

function mapRound(surface: Round, map: Affine, reach: Reach): MappedSurface {
  const at = toWorld(map, surface.at);
  const [axis, x, y] = [surface.axis, surface.x, surface.y].map((direction) =>
    wayToWorld(map, direction),
  ) as [Vec3, Vec3, Vec3];
  const across = evenAcross(axis, x, y);
  const axes = { at, axis: unit(axis), x: unit(x), y: unit(y) };
  const [radius, slope] = surface.sizes as [number, number];
  const isStraight = surface.kind === 'cylinder' || surface.kind === 'cone';
  if (across !== null && surface.kind === 'cylinder') {
    const sizes = [radius * across];
    return { surface: { kind: 'cylinder', ...axes, sizes }, flat: stretchedAlong(lengthOf(axis)) };
  }
  if (across !== null && surface.kind === 'cone') {
    const [out, up] = [across * Math.sin(slope), lengthOf(axis) * Math.cos(slope)];
    const sizes = [radius * across, Math.atan2(out, up)];
    return { surface: { kind: 'cone', ...axes, sizes }, flat: stretchedAlong(Math.hypot(out, up)) };
  }
  const round = fittedSpline([Math.cos, Math.sin], ...reach.u);
  const profile = profileOf(surface);
  const side = isStraight ? straightSpline(profile, reach.v) : fittedSpline(profile, ...reach.v);
  const [cos, sin] = round.coefficients as [number[], number[]];
  const [out, up] = side.coefficients as [number[], number[]];
  const poles = cos.map((c, u) =>
    out.map((far, v) => along(along(along(at, x, far * c), y, far * sin[u]!), axis, up[v]!)),
  );
  return {
    surface: {
      kind: 'splines',
      periodic: [false, false],
      degrees: [round.degree, side.degree],
      poles,
      uKnots: round.knots,
      vKnots: side.knots,
    },
    flat: UNCHANGED,
  };
}

/** Functions that are straight, over a range. */
const straightSpline = (functions: readonly ((at: number) => number)[], range: Range): FittedSpline => ({
  degree: 1,
  knots: range.map((at) => ({ at, times: 2 })),
  coefficients: functions.map((value) => range.map(value)),
});

function mapSpun(spun: Extract<Surface, { kind: 'spun' }>, map: Affine, { u, v }: Reach): Surface {
  const { x, y } = frameFacing(spun.at, spun.axis);
  const axis = wayToWorld(map, spun.axis);
  if (evenAcross(axis, wayToWorld(map, x), wayToWorld(map, y)) !== null) {
    return { kind: 'spun', at: toWorld(map, spun.at), axis: unit(axis), curve: mapKept(spun.curve, map, v) };
  }
  const curve = asSpline(spun.curve, v);
  const round = fittedSpline([Math.cos, Math.sin], ...u);
  const [cos, sin] = round.coefficients as [number[], number[]];
  // Turning about an axis is linear in cosine and sine, so the poles of the curve turn as its points do.
  const poles = cos.map((c, index) =>
    curve.poles.map((pole) => {
      const from = minus(pole, spun.at);
      const foot = along(spun.at, spun.axis, dot(from, spun.axis));
      const out = minus(pole, foot);
      return toWorld(map, along(along(foot, out, c), cross(spun.axis, out), sin[index]!));
    }),
  );
  return {
    kind: 'splines',
    periodic: [false, curve.periodic],
    degrees: [round.degree, curve.degree],
    poles,
    ...(curve.weights ? { weights: poles.map(() => curve.weights!) } : {}),
    uKnots: round.knots,
    vKnots: curve.knots,
  };
}

import { type Vec3, cross } from '@core/foundations/vectors';
import { KernelRefusal } from '@core/shaping/part';

import type { Tokens } from './tokens';

/** Knots with how often each counts. */
export type Knots = readonly { at: number; times: number }[];

/** A spline in space or in a plane: `weights` only where it is rational. */
export interface Spline<Point> {
  kind: 'spline';
  periodic: boolean;
  degree: number;
  poles: readonly Point[];
  weights?: readonly number[];
  knots: Knots;
}

/** Conic sections, by their middle and the two ways they are drawn along; sizes are half axes, or the focal length. */
export type ConicKind = 'circle' | 'ellipse' | 'parabola' | 'hyperbola';

/** A curve in space, or in the two parameters of a surface. */
export type Curve<Point> =
  | { kind: 'line'; at: Point; direction: Point }
  | { kind: ConicKind; at: Point; x: Point; y: Point; sizes: readonly number[] }
  | Spline<Point>;

export type FlatPoint = [number, number];

/** The axes of a surface of revolution, or of a plane. `y` says which way round it goes. */
export interface Axes {
  at: Vec3;
  axis: Vec3;
  x: Vec3;
  y: Vec3;
}

export interface SplineSurface {
  kind: 'splines';
  periodic: readonly [boolean, boolean];
  degrees: readonly [number, number];
  /** Row by row: of one u, all v. */
  poles: readonly (readonly Vec3[])[];
  weights?: readonly (readonly number[])[];
  uKnots: Knots;
  vKnots: Knots;
}

export type Surface =
  | ({ kind: 'plane' | 'cylinder' | 'cone' | 'ball' | 'ring'; sizes: readonly number[] } & Axes)
  | { kind: 'run'; direction: Vec3; curve: Curve<Vec3> }
  | { kind: 'spun'; at: Vec3; axis: Vec3; curve: Curve<Vec3> }
  | SplineSurface;

const CONICS: readonly [number, ConicKind, number][] = [
  [2, 'circle', 1],
  [3, 'ellipse', 2],
  [4, 'parabola', 1],
  [5, 'hyperbola', 2],
];

type Read<Point> = (tokens: Tokens) => Point;

const point = (tokens: Tokens) => tokens.numbers(3) as unknown as Vec3;

const flatPoint = (tokens: Tokens) => tokens.numbers(2) as unknown as FlatPoint;

const unknown = (what: string, kind: number) =>
  new KernelRefusal(`${what} of a kind that cannot be stretched (${kind})`);

/** Reads a curve in space. @throws KernelRefusal for curves offset from others. */
export const readCurve = (tokens: Tokens): Curve<Vec3> => readAnyCurve(tokens, point);

/** Reads a curve in the parameters of a surface. @throws KernelRefusal for curves offset from others. */
export const readFlatCurve = (tokens: Tokens): Curve<FlatPoint> => readAnyCurve(tokens, flatPoint);

function readAnyCurve<Point>(tokens: Tokens, read: Read<Point>): Curve<Point> {
  const kind = tokens.number();
  if (kind === 1) return { kind: 'line', at: read(tokens), direction: read(tokens) };
  const conic = CONICS.find(([number]) => number === kind);
  if (conic) {
    const at = read(tokens);
    // In space, what it stands square to comes in between.
    if ((read as unknown) === point) point(tokens);
    return { kind: conic[1], at, x: read(tokens), y: read(tokens), sizes: tokens.numbers(conic[2]) };
  }
  if (kind === 8) {
    tokens.skip(2);
    return readAnyCurve(tokens, read);
  }
  return readSpline(tokens, kind, read);
}

/** A spline, or a Bézier curve as one. */
function readSpline<Point>(tokens: Tokens, kind: number, read: Read<Point>): Spline<Point> {
  if (kind !== 6 && kind !== 7) throw unknown('a curve', kind);
  const rational = tokens.number() === 1;
  const periodic = kind === 7 && tokens.number() === 1;
  const degree = tokens.number();
  const [count, knots] = kind === 7 ? tokens.numbers(2) : [degree + 1, 0];
  const poles: Point[] = [];
  const weights: number[] = [];
  for (let index = 0; index < count!; index += 1) {
    poles.push(read(tokens));
    if (rational) weights.push(tokens.number());
  }
  const own = kind === 7 ? readKnots(tokens, knots!) : bezierKnots(degree);
  return { kind: 'spline', periodic, degree, poles, ...(rational ? { weights } : {}), knots: own };
}

const readKnots = (tokens: Tokens, count: number): Knots =>
  Array.from({ length: count }, () => ({ at: tokens.number(), times: tokens.number() }));

const bezierKnots = (degree: number): Knots => [0, 1].map((at) => ({ at, times: degree + 1 }));

const ROUND_SURFACES = [
  ['plane', 0],
  ['cylinder', 1],
  ['cone', 2],
  ['ball', 1],
  ['ring', 2],
] as const;

/** Reads a surface. @throws KernelRefusal for surfaces offset from others. */
export function readSurface(tokens: Tokens): Surface {
  const kind = tokens.number();
  const round = ROUND_SURFACES[kind - 1];
  if (round) {
    const [at, axis, x, y] = [point(tokens), point(tokens), point(tokens), point(tokens)];
    return { kind: round[0], at, axis, x, y, sizes: tokens.numbers(round[1]) };
  }
  if (kind === 6) return { kind: 'run', direction: point(tokens), curve: readCurve(tokens) };
  if (kind === 7) return { kind: 'spun', at: point(tokens), axis: point(tokens), curve: readCurve(tokens) };
  if (kind === 10) {
    tokens.skip(4);
    return readSurface(tokens);
  }
  if (kind !== 8 && kind !== 9) throw unknown('a surface', kind);
  const rational = tokens.numbers(2).some((one) => one === 1);
  const periodic = kind === 9 ? tokens.numbers(2).map((one) => one === 1) : [false, false];
  const degrees = tokens.numbers(2) as [number, number];
  const [us, vs, uKnots, vKnots] = kind === 9 ? tokens.numbers(4) : [degrees[0] + 1, degrees[1] + 1, 0, 0];
  const weights: number[][] = [];
  const poles = Array.from({ length: us! }, (_, row) => {
    weights.push([]);
    return Array.from({ length: vs! }, () => {
      const pole = point(tokens);
      if (rational) weights[row]!.push(tokens.number());
      return pole;
    });
  });
  return {
    kind: 'splines',
    periodic: [periodic[0]!, periodic[1]!],
    degrees,
    poles,
    ...(rational ? { weights } : {}),
    uKnots: kind === 9 ? readKnots(tokens, uKnots!) : bezierKnots(degrees[0]),
    vKnots: kind === 9 ? readKnots(tokens, vKnots!) : bezierKnots(degrees[1]),
  };
}

/** Numbers as text, to the last digit. */
const text = (...numbers: readonly (number | readonly number[])[]): string => numbers.flat().join(' ');

const knotText = (knots: Knots) => knots.map(({ at, times }) => text(at, times)).join('\n');

function splineText({ periodic, degree, poles, weights, knots }: Spline<readonly number[]>): string {
  const points = poles.map((pole, index) => text(pole, weights ? [weights[index]!] : []));
  const head = text(7, weights ? 1 : 0, periodic ? 1 : 0, degree, poles.length, knots.length);
  return [head, ...points, knotText(knots)].join('\n');
}

export function curveText(curve: Curve<Vec3> | Curve<FlatPoint>): string {
  if (curve.kind === 'line') return text(1, curve.at, curve.direction);
  if (curve.kind === 'spline') return splineText(curve);
  const { at, x, y, sizes } = curve;
  const number = CONICS.find(([, kind]) => kind === curve.kind)![0];
  return text(number, at, x.length === 3 ? cross(x, y as Vec3) : [], x, y, sizes);
}

export function surfaceText(surface: Surface): string {
  if (surface.kind === 'run') return `${text(6, surface.direction)}\n${curveText(surface.curve)}`;
  if (surface.kind === 'spun') return `${text(7, surface.at, surface.axis)}\n${curveText(surface.curve)}`;
  if (surface.kind !== 'splines') {
    const number = 1 + ROUND_SURFACES.findIndex(([kind]) => kind === surface.kind);
    return text(number, surface.at, surface.axis, surface.x, surface.y, surface.sizes);
  }
  const { periodic, degrees, poles, weights, uKnots, vKnots } = surface;
  const rational = weights ? [1, 1] : [0, 0];
  const counts = [poles.length, poles[0]!.length, uKnots.length, vKnots.length];
  const head = text(9, rational, periodic.map(Number), degrees, counts);
  const rows = poles.map((row, u) =>
    row.map((pole, v) => text(pole, weights ? [weights[u]![v]!] : [])).join('\n'),
  );
  return [head, ...rows, knotText(uKnots), knotText(vKnots)].join('\n');
}

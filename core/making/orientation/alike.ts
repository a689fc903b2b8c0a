import type { Picture } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';

/** A way to lie with its drawing, as far as it tells one from another. */
export interface DrawnOrientation {
  way: { down: Vec3; heightMm: number; contactMm2: number; overhangMm2: number; across: number | null };
  picture: Pick<Picture, 'outline' | 'edges'> | null;
}

/** Figures that differ by less than this share, or drawings by less than this many mm, look the same. */
const SHARE = 0.01;
const LOOK_MM = 0.3;

/** Ways to lie by their look, in the order of the first of each: a wheel turned over is the same to a person. */
export function alikeOrientations<T extends DrawnOrientation>(ways: readonly T[]): [T, ...T[]][] {
  const groups: [T, ...T[]][] = [];
  for (const way of ways) {
    const like = groups.find(([first]) => isAlike(first, way));
    if (like) like.push(way);
    else groups.push([way]);
  }
  return groups;
}

function isAlike(one: DrawnOrientation, other: DrawnOrientation): boolean {
  if (!one.picture || !other.picture) return false;
  const figures = ({ way }: DrawnOrientation) => [
    way.heightMm,
    way.contactMm2,
    way.overhangMm2,
    way.across ?? -1,
  ];
  const [a, b] = [figures(one), figures(other)];
  const isSame = a.every((value, at) => Math.abs(value - b[at]!) <= SHARE * Math.max(1, Math.abs(value)));
  return isSame && isSameDrawing(one.picture, other.picture);
}

type Drawing = NonNullable<DrawnOrientation['picture']>;

/** Lines that lie on each other, wherever the picture's own origin is. */
function isSameDrawing(one: Drawing, other: Drawing): boolean {
  const [a, b] = [middles(one), middles(other)];
  if (a.length !== b.length) return false;
  const isNear = ([x, y]: Point, [u, v]: Point) => Math.hypot(x - u, y - v) < LOOK_MM;
  return (
    a.every((point) => b.some((near) => isNear(point, near))) &&
    b.every((point) => a.some((near) => isNear(point, near)))
  );
}

type Point = readonly [number, number];

/** The middle of each line, from the left and lowest point of the whole. */
function middles({ outline, edges }: Drawing): Point[] {
  const points = outline.flatMap(pointsOf);
  const [left, low] = [Math.min(...points.map(([x]) => x)), Math.min(...points.map(([, y]) => y))];
  return edges.map((edge) => {
    const run = pointsOf(edge);
    const [from, to] = [run[Math.floor((run.length - 1) / 2)]!, run[Math.ceil((run.length - 1) / 2)]!];
    return [(from[0] + to[0]) / 2 - left, (from[1] + to[1]) / 2 - low];
  });
}

const pointsOf = (run: readonly number[]): Point[] =>
  Array.from({ length: run.length / 2 }, (_, at) => [run[2 * at]!, run[2 * at + 1]!]);

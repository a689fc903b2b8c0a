import {
  Clipper,
  ClipType,
  EndType,
  FillRule,
  JoinType,
  PolyTree64,
  type Path64,
  type Paths64,
  type PolyPath64,
} from 'clipper2-ts';

import type { Contours } from './contours';

/** An area of a layer: closed paths in whole numbers, holes the other way round. */
export type Area = Paths64;

/** Clipper counts in whole numbers; these are a mm: a tenth of a micrometre each. */
export const PER_MM = 1e4;

/** Corners sharper than 2 × asin(1 / this) are cut off when an area is moved outwards: sharper than 60°. */
const MITER_LIMIT = 2;

/** How near outlines stay to those of the mesh, mm: a triangle's diagonal leaves corners that say nothing. */
const WITHIN_MM = 0.0015;

/** Corners nearer than this to the line between their neighbours are left out, mm: the rounding of a mesh in single precision. */
const STRAIGHT_MM = 2e-5;

/** Areas below this are left by rounding, mm². */
const NOTHING_MM2 = 1e-4;

/** The area inside contours, with what overlaps made one. */
export function areaWithin({ points, begins }: Contours): Area {
  const paths: Area = [];
  for (let loop = 0; loop + 1 < begins.length; loop += 1) {
    const path: Path64 = [];
    const [first, beyond] = [begins[loop]!, begins[loop + 1]!];
    let kept = first;
    for (let at = first; at < beyond; at += 1) {
      // Against the last one that was kept: of two corners close together one stays.
      if (at > first && isOnTheWay(points, kept, at, at === beyond - 1 ? first : at + 1)) continue;
      kept = at;
      path.push({ x: Math.round(points[2 * at]! * PER_MM), y: Math.round(points[2 * at + 1]! * PER_MM) });
    }
    // Where a height touches a level face, loops without any width are met; the clipper can't take them.
    if (path.length >= 3) paths.push(path);
  }
  return simplified(Clipper.union(paths, FillRule.NonZero), WITHIN_MM);
}

/** With fewer corners, no farther from what it was than so many mm (Ramer, 1972; Douglas & Peucker, 1973). */
export const simplified = (area: Area, mm: number): Area =>
  Clipper.ramerDouglasPeuckerPaths(area, mm * PER_MM)
    .map((path) => Clipper.trimCollinear(path, false))
    .filter((path) => path.length >= 3);

/** Between two triangles of one flat face a line goes on straight: such a corner is none, whatever its rounding. */
function isOnTheWay(points: Float64Array, before: number, at: number, after: number): boolean {
  const [x, y] = [points[2 * before]!, points[2 * before + 1]!];
  const [dx, dy] = [points[2 * after]! - x, points[2 * after + 1]! - y];
  const aside = (points[2 * at]! - x) * dy - (points[2 * at + 1]! - y) * dx;
  return Math.abs(aside) <= STRAIGHT_MM * Math.hypot(dx, dy);
}

/** Moved outwards by so many mm, inwards below zero. Corners stay corners. */
export function grown(area: Area, mm: number): Area {
  if (area.length === 0 || mm === 0) return area;
  return Clipper.inflatePaths(area, mm * PER_MM, JoinType.Miter, EndType.Polygon, MITER_LIMIT);
}

/** What is left of an area where it is at least twice so many mm wide; the same list where that is all of it. */
export function opened(area: Area, mm: number): Area {
  const shrunk = grown(area, -mm);
  return isBroad(area, shrunk, mm) ? area : grown(shrunk, mm);
}

/**
 * Whether nothing of an area is narrower than twice so many mm, told from the area moved inwards by that much: as long as no side vanishes and no two
 * meet, its area is A - P d + d² Σ tan(θ / 2), with the perimeter P and the turns θ at its corners (Steiner's formula for corners that stay
 * corners).
 */
export function isBroad(area: Area, shrunk: Area, mm: number): boolean {
  // What is just twice as wide has vanished without a trace in the sum.
  if (shrunk.length !== area.length) return false;
  let [perimeter, corners] = [0, 0];
  for (const path of area) {
    for (let at = 0; at < path.length; at += 1) {
      const before = path[at === 0 ? path.length - 1 : at - 1]!;
      const here = path[at]!;
      const after = path[at === path.length - 1 ? 0 : at + 1]!;
      const [ax, ay] = [here.x - before.x, here.y - before.y];
      const [bx, by] = [after.x - here.x, after.y - here.y];
      const length = Math.hypot(bx, by);
      perimeter += length;
      // tan of half an angle: sine by one and the cosine.
      corners += (ax * by - ay * bx) / (Math.hypot(ax, ay) * length + ax * bx + ay * by || Infinity);
    }
  }
  const expected = areaMm2(area) - (perimeter / PER_MM) * mm + corners * mm * mm;
  return Math.abs(areaMm2(shrunk) - expected) < 1e-4 + (2e-6 * perimeter) / PER_MM;
}

export const both = (one: Area, other: Area): Area =>
  one.length === 0 || other.length === 0 ? [] : Clipper.intersect(one, other, FillRule.NonZero);

/** Without holes. */
export const outerEdges = (area: Area): Area => area.filter((path) => Clipper.isPositive(path));

/** Outer edges alone, moved outwards with round corners. */
export const outside = (area: Area, mm: number): Area =>
  outerEdges(
    Clipper.inflatePaths(outerEdges(area), mm * PER_MM, JoinType.Round, EndType.Polygon, 2, 0.02 * PER_MM),
  );

export const movedBy = (area: Area, [x, y]: readonly [number, number]): Area =>
  Clipper.translatePaths(area, Math.round(x * PER_MM), Math.round(y * PER_MM));

/** The area within corners, mm. */
export const areaOfCorners = (corners: readonly (readonly [number, number])[]): Area => [
  corners.map(([x, y]) => ({ x: Math.round(x * PER_MM), y: Math.round(y * PER_MM) })),
];

/** Its edges as corners, mm. */
export const cornersOfArea = (area: Area): [number, number][][] =>
  area.map((path) => path.map(({ x, y }): [number, number] => [x / PER_MM, y / PER_MM]));

export const joined = (one: Area, other: Area): Area =>
  one.length === 0 ? other : other.length === 0 ? one : Clipper.union(one, other, FillRule.NonZero);

export function without(one: Area, other: Area): Area {
  if (one.length === 0 || other.length === 0) return one;
  return Clipper.difference(one, other, FillRule.NonZero);
}

/** mm², holes taken off. */
export const areaMm2 = (area: Area): number => Clipper.areaPaths(area) / PER_MM ** 2;

export const isNothing = (area: Area): boolean => area.length === 0 || areaMm2(area) < NOTHING_MM2;

/** Whether two areas are the same to the last figure: a part that goes straight up is worked out once. */
export function sameArea(one: Area, other: Area): boolean {
  return (
    one === other ||
    (one.length === other.length &&
      one.every((path, index) => {
        const mate = other[index]!;
        return (
          path.length === mate.length &&
          path.every((point, at) => point.x === mate[at]!.x && point.y === mate[at]!.y)
        );
      }))
  );
}

/** The pieces of an area that do not touch, each with its holes. */
export function piecesOf(area: Area): Area[] {
  if (area.length <= 1) return area.length === 0 ? [] : [area];
  const tree = new PolyTree64();
  Clipper.booleanOpWithPolyTree(ClipType.Union, area, null, tree, FillRule.NonZero);
  const pieces: Area[] = [];
  const gather = (node: PolyPath64) => {
    for (let index = 0; index < node.count; index += 1) {
      const outer = node.child(index);
      const piece: Area = [outer.polygon!];
      for (let hole = 0; hole < outer.count; hole += 1) {
        piece.push(outer.child(hole).polygon!);
        gather(outer.child(hole));
      }
      pieces.push(piece);
    }
  };
  gather(tree);
  return pieces;
}

/** Whether a point, in mm, is within an area or on its edge. */
export function holds(area: Area, x: number, y: number): boolean {
  let inside = 0;
  for (const path of area) {
    const where = Clipper.pointInPolygon({ x: Math.round(x * PER_MM), y: Math.round(y * PER_MM) }, path);
    if (Number(where) === 0) return true;
    if (Number(where) === 1) inside += Clipper.isPositive(path) ? 1 : -1;
  }
  return inside > 0;
}

/** Smallest and largest x and y, mm; null for nothing. */
/** A place of a piece, mm: the mean of its outer corners, or one of them where the mean lies beside it, as in a ring. */
export function placeWithin(area: Area): [number, number] {
  const [outer] = area as [Path64];
  const sum = outer.reduce((all, { x, y }) => ({ x: all.x + x, y: all.y + y }), { x: 0, y: 0 });
  const mean: [number, number] = [sum.x / outer.length / PER_MM, sum.y / outer.length / PER_MM];
  return holds(area, ...mean) ? mean : [outer[0]!.x / PER_MM, outer[0]!.y / PER_MM];
}

export function boundsOf(area: Area): [number, number, number, number] | null {
  if (area.length === 0) return null;
  const { left, top, right, bottom } = Clipper.getBoundsPaths(area);
  return [left / PER_MM, top / PER_MM, right / PER_MM, bottom / PER_MM];
}

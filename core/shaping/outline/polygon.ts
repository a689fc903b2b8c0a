import { orient2d } from 'robust-predicates';

import { alongArc } from './alongArc';
import type { Curve, Loop, Point } from './curves';
import { alongSmooth, smoothLine } from './smoothLine';

/** Pieces of an arc or a smooth line when it is looked at as short lines. */
const PIECES = 12;

/** The corners of a loop drawn with short lines: for areas, and for what lies within it or crosses it. @param pieces of an arc. */
export const polygonOf = (loop: Loop, pieces = PIECES): Point[] =>
  loop.flatMap((curve) => piecesOf(curve, pieces));

/** Twice the area is the sum of the cross products of neighbours; positive anticlockwise (the shoelace formula). */
export function areaOf(points: readonly Point[]): number {
  return (
    points.reduce((sum, [x, y], index) => {
      const [nx, ny] = points[(index + 1) % points.length]!;
      return sum + x * ny - nx * y;
    }, 0) / 2
  );
}

/** Corners of a curve as short lines, without its end. */
function piecesOf(curve: Curve, pieces: number): Point[] {
  if (curve.kind === 'line') return [curve.from];
  if (curve.kind === 'spline') {
    const along = smoothed(curve.points, curve.closed ?? false, curve.even ?? false);
    return curve.closed ? along : along.slice(0, -1);
  }
  if (curve.kind === 'circle' || curve.kind === 'ellipse') {
    const [rx, ry] = curve.kind === 'circle' ? [curve.radius, curve.radius] : [curve.alongX, curve.alongY];
    const turned = curve.kind === 'circle' ? 0 : (curve.turn ?? 0);
    const [cos, sin] = [Math.cos(turned), Math.sin(turned)];
    const count = 4 * pieces;
    return Array.from({ length: count }, (_, index): Point => {
      const turn = (2 * Math.PI * index) / count;
      const [x, y] = [rx * Math.cos(turn), ry * Math.sin(turn)];
      return [curve.middle[0] + cos * x - sin * y, curve.middle[1] + sin * x + cos * y];
    });
  }
  const at = alongArc(curve);
  return Array.from({ length: pieces }, (_, index): Point => at(index / pieces));
}

/** Short lines that a smooth line becomes, about. */
const SMOOTH_PIECES = 64;

/** A smooth line as short lines, as the kernel will have it. */
export function smoothed(
  points: readonly Point[],
  closed: boolean,
  even = false,
  pieces = SMOOTH_PIECES,
): Point[] {
  const perPiece = Math.max(2, Math.min(Math.max(PIECES, pieces / 8), Math.ceil(pieces / points.length)));
  return alongSmooth(smoothLine(points, closed, even), perPiece).map(([x, y]): Point => [x!, y!]);
}

/** Whether two sides of a closed polygon that are no neighbours cross; to touch is not to cross. Exact (Shewchuk's predicates). */
export function crosses(points: readonly Point[]): boolean {
  const side = (a: Point, b: Point, c: Point) => Math.sign(orient2d(...a, ...b, ...c));
  const count = points.length;
  for (let i = 0; i < count; i += 1) {
    for (let j = i + 2; j < count; j += 1) {
      if (i === 0 && j === count - 1) continue;
      const [a, b, c, d] = [points[i]!, points[i + 1]!, points[j]!, points[(j + 1) % count]!];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  }
  return false;
}

/** Whether a point lies within a polygon: a ray to the right crosses its sides an odd number of times. */
export function isWithin([x, y]: Point, polygon: readonly Point[]): boolean {
  return polygon.reduce((inside, [ax, ay], index) => {
    const [bx, by] = polygon[(index + 1) % polygon.length]!;
    const isCrossed = ay > y !== by > y && x < ax + ((y - ay) * (bx - ax)) / (by - ay);
    return isCrossed ? !inside : inside;
  }, false);
}

import type { Path64 } from 'clipper2-ts';

import { middleLines } from './middleLines';
import type { LayerPath } from './paths';
import { areaMm2, grown, isBroad, isNothing, opened, PER_MM, simplified, without, type Area } from './region';

/** The walls of one layer, and what they leave. */
export interface Walls {
  /** From the outside inwards. */
  paths: LayerPath[];
  /** What is inside of them, to be filled. */
  inside: Area;
  /** Places that are too thin to be made, mm. */
  tooThin: { at: [number, number]; widthMm: number }[];
}

/** How near inner walls keep to a parallel of the outer one, mm. */
const INNER_WITHIN_MM = 0.004;

/** What is left of rounding along an edge is narrower than this, mm. */
const HAIR_MM = 0.01;

/** The narrowest line that is placed automatically, and the narrowest that fills a gap between others, as shares of a line's width. */
const NARROWEST_ALONE = 0.5;
const NARROWEST_BETWEEN = 0.25;

/**
 * Walls along the edge of an area, each one line inside of the last. Where the area is too narrow for a line on either side, one line runs along
 * its middle, as wide as it is there. What of the part is narrower than half a line is left out and told; gaps inside that are narrower
 * than a quarter of one close of themselves.
 *
 * @param lineMm width of a line.
 */
export function wallsOf(area: Area, count: number, lineMm: number): Walls {
  const paths: LayerPath[] = [];
  const tooThin: Walls['tooThin'] = [];
  let inside = area;
  for (let wall = 0; wall < count && inside.length > 0; wall += 1) {
    const shrunk = grown(inside, -lineMm);
    const next = simplified(shrunk, INNER_WITHIN_MM);
    const kind = wall === 0 ? 'outerWall' : 'innerWall';
    for (const path of grown(next, lineMm / 2)) paths.push(loopOf(path, kind, lineMm));
    const left = isBroad(inside, shrunk, lineMm) ? [] : leftOf(inside, grown(next, lineMm));
    if (left.length > 0) {
      const middle = middleLines(left, {
        narrowestMm: (wall === 0 ? NARROWEST_ALONE : NARROWEST_BETWEEN) * lineMm,
        widestMm: 2 * lineMm,
      });
      for (const line of middle.lines)
        paths.push({ ...line, kind: wall === 0 ? 'thinWall' : 'gap', closed: false });
      // Crumbs inside are covered by the lines beside them; what is missing outside is too thin to be made.
      if (wall === 0) tooThin.push(...middle.tooThin);
    }
    inside = next;
  }
  return { paths, inside, tooThin };
}

/** What an area has more than its covered part, but for hairs along their common edge. */
export function leftOf(area: Area, covered: Area): Area {
  if (area === covered || Math.abs(areaMm2(area) - areaMm2(covered)) < 1e-3) return [];
  const left = opened(without(area, covered), HAIR_MM);
  return isNothing(left) ? [] : left;
}

export function loopOf(path: Path64, kind: LayerPath['kind'], width: number): LayerPath {
  const points = new Float64Array(2 * path.length);
  path.forEach(({ x, y }, index) => {
    points[2 * index] = x / PER_MM;
    points[2 * index + 1] = y / PER_MM;
  });
  return { kind, closed: true, points, width };
}

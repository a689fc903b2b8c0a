import { inflatePathsD, JoinType, EndType, type PathD } from 'clipper2-ts';

import type { CutSection } from './cutSection';

/** What is printed with walls round an infill. */
export interface Shell {
  /** How thick its walls are together, mm. */
  wallMm: number;
  /** Share of the room within them that is filled. */
  infill: number;
}

/** Loops of an edge whose sides come in any order, mm. */
export function loopsOf({ edge }: Pick<CutSection, 'edge'>): PathD[] {
  const key = (x: number, y: number) => `${Math.round(x * 1e3)} ${Math.round(y * 1e3)}`;
  const next = new Map<string, number>();
  for (let at = 0; at < edge.length; at += 4) next.set(key(edge[at]!, edge[at + 1]!), at);
  const loops: PathD[] = [];
  while (next.size > 0) {
    const path: PathD = [];
    let at = next.values().next().value;
    while (at !== undefined) {
      next.delete(key(edge[at]!, edge[at + 1]!));
      path.push({ x: edge[at]!, y: edge[at + 1]! });
      at = next.get(key(edge[at + 2]!, edge[at + 3]!));
    }
    if (path.length >= 3) loops.push(path);
  }
  return loops;
}

/** What lies within the walls: the section moved in by them. */
export const insideWalls = (section: Pick<CutSection, 'edge'>, { wallMm }: Shell): PathD[] =>
  inflatePathsD(loopsOf(section), -wallMm, JoinType.Miter, EndType.Polygon, 2, 4);

/** Area and second moments of what is in a section: of the infill within its walls its share counts. About the section's own middle, mm² and mm⁴. */
export function coreOf(
  section: CutSection,
  shell: Shell | null,
): Pick<CutSection, 'areaMm2' | 'ixx' | 'iyy' | 'ixy'> {
  const { areaMm2, ixx, iyy, ixy, middle } = section;
  if (!shell || shell.infill >= 1) return { areaMm2, ixx, iyy, ixy };
  let [area, xx, yy, xy] = [0, 0, 0, 0];
  for (const path of insideWalls(section, shell)) {
    for (const [at, from] of path.entries()) {
      const to = path[(at + 1) % path.length]!;
      const [a, b, c, d] = [from.x - middle[0], from.y - middle[1], to.x - middle[0], to.y - middle[1]];
      const k = a * d - c * b;
      area += k / 2;
      xx += (k * (a * a + a * c + c * c)) / 12;
      yy += (k * (b * b + b * d + d * d)) / 12;
      xy += (k * (2 * a * b + a * d + c * b + 2 * c * d)) / 24;
    }
  }
  const lacks = 1 - shell.infill;
  return {
    areaMm2: areaMm2 - lacks * area,
    ixx: ixx - lacks * yy,
    iyy: iyy - lacks * xx,
    ixy: ixy - lacks * xy,
  };
}

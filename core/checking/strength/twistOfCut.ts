import earcut from 'earcut';
import { LRUCache } from 'lru-cache';

import type { CutSection } from './cutSection';
import { insideWalls, loopsOf, type Shell } from './core';
import type { FlatSection } from './section';
import { twistProperties } from './twist';

/**
 * What a cut has against being twisted: torque over the largest shear stress, mm³. Of walls round an infill that of the walls alone and the infill's share of what
 * the rest would add.
 *
 * @param exactly by its stress function; else a lower bound for plump sections, J ≈ A⁴ / 40 Iₚ over the radius of a circle as large (Saint-Venant's rule), which is far too low for hollow ones.
 */
export function twistOfCut(section: CutSection, shell: Shell | null, exactly: boolean): number {
  const isSolid = !shell || shell.infill >= 1;
  if (!exactly) return roughly(section) * (isSolid ? 1 : shell.infill);
  const key = [
    section.areaMm2,
    section.ixx + section.iyy,
    section.ixx * section.iyy - section.ixy ** 2,
    shell?.wallMm,
    shell?.infill,
  ]
    .map((one) => one?.toPrecision(4))
    .join(' ');
  const before = alike.get(key);
  if (before !== undefined) return before;
  const modulus = byStressFunction(section, shell);
  alike.set(key, modulus);
  return modulus;
}

/** A limb has the same section all along: one with the same area and principal moments is that one, and it takes a tenth of a second. */
const alike = new LRUCache<string, number>({ max: 200 });

function byStressFunction(section: CutSection, shell: Shell | null): number {
  const isSolid = !shell || shell.infill >= 1;
  const whole = twistProperties(flatOf(section));
  if (!whole) return roughly(section);
  if (isSolid) return whole.modulus;
  const holes = insideWalls(section, shell);
  if (holes.length === 0) return whole.modulus;
  const walls = twistProperties(
    flatOfLoops([...loopsOf(section), ...holes.map((path) => [...path].reverse())]),
  );
  return walls ? walls.modulus + shell.infill * Math.max(0, whole.modulus - walls.modulus) : whole.modulus;
}

const roughly = ({ areaMm2, ixx, iyy }: CutSection) =>
  areaMm2 ** 4 / (40 * (ixx + iyy)) / Math.sqrt(areaMm2 / Math.PI);

const flats = new WeakMap<CutSection, FlatSection>();

/** A cut as triangles. */
function flatOf(section: CutSection): FlatSection {
  const known = flats.get(section);
  if (known) return known;
  const flat = flatOfLoops(loopsOf(section));
  flats.set(section, flat);
  return flat;
}

type Loop = readonly { x: number; y: number }[];

const areaOf = (loop: Loop) =>
  loop.reduce((sum, { x, y }, at) => {
    const next = loop[(at + 1) % loop.length]!;
    return sum + (x * next.y - next.x * y) / 2;
  }, 0);

/** Loops that run anticlockwise are outlines, others holes of the outline that holds them. */
function flatOfLoops(loops: readonly Loop[]): FlatSection {
  const outer = loops.filter((loop) => areaOf(loop) > 0).sort((a, b) => areaOf(a) - areaOf(b));
  const holes = loops.filter((loop) => areaOf(loop) < 0);
  const points: [number, number][] = [];
  const triangles: [number, number, number][] = [];
  for (const [index, loop] of outer.entries()) {
    const own = holes.filter((hole) => outer.findIndex((one) => holds(one, hole[0]!)) === index);
    const all = [loop, ...own];
    const flat = all.flatMap((one) => one.flatMap(({ x, y }) => [x, y]));
    const begins = own.map((_, at) => all.slice(0, at + 1).reduce((sum, { length }) => sum + length, 0));
    const first = points.length;
    for (let at = 0; at < flat.length; at += 2) points.push([flat[at]!, flat[at + 1]!]);
    const found = earcut(flat, begins, 2);
    for (let at = 0; at < found.length; at += 3) {
      triangles.push([first + found[at]!, first + found[at + 1]!, first + found[at + 2]!]);
    }
  }
  return { points, triangles };
}

function holds(loop: Loop, { x, y }: { x: number; y: number }): boolean {
  let inside = false;
  for (const [at, a] of loop.entries()) {
    const b = loop[(at + 1) % loop.length]!;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

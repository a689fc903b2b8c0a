import type { Path64 } from 'clipper2-ts';

import type { LayerPath } from './paths';
import { areaMm2, boundsOf, grown, joined, outerEdges, outside, PER_MM, without, type Area } from './region';
import type { LayerSettings } from './settings';
import { loopOf } from './walls';

/** How far from the part a skirt runs, mm, and how often. */
const SKIRT_MM = 4;
const SKIRT_LOOPS = 2;

/** Corners that lift are at most this wide, radians. */
const SHARP = (110 / 180) * Math.PI;

/** What is printed round the first layer of a part in its first layer. */
export function adhesionOf(foot: Area, { foot: kind, footMm, lineMm }: LayerSettings): LayerPath[] {
  if (foot.length === 0) return [];
  switch (kind) {
    case 'none':
      return [];
    case 'skirt':
      return range(SKIRT_LOOPS).flatMap((loop) => loops(outside(foot, SKIRT_MM + loop * lineMm), lineMm));
    case 'brim':
      return rings(foot, footMm, lineMm);
    case 'ears': {
      const ears = cornersOf(foot).reduce<Area>((all, [x, y]) => joined(all, [disc(x, y, footMm)]), []);
      const free = without(ears, grown(foot, 0.02));
      const paths: LayerPath[] = [];
      for (let area = grown(free, -lineMm / 2); areaMm2(area) > 0.01; area = grown(area, -lineMm)) {
        paths.push(...loops(area, lineMm));
      }
      return paths;
    }
  }
}

/** How far beyond the part it reaches, mm. */
export function adhesionReachMm({
  foot,
  footMm,
  lineMm,
}: Pick<LayerSettings, 'foot' | 'footMm' | 'lineMm'>): number {
  switch (foot) {
    case 'none':
      return 0;
    case 'skirt':
      return SKIRT_MM + SKIRT_LOOPS * lineMm;
    case 'brim':
      return ringCount(footMm, lineMm) * lineMm;
    case 'ears':
      return footMm;
  }
}

const ringCount = (footMm: number, lineMm: number) => Math.max(1, Math.round(footMm / lineMm));

/** Rings round the outside; holes of the part stay free. */
function rings(foot: Area, footMm: number, lineMm: number): LayerPath[] {
  return range(ringCount(footMm, lineMm)).flatMap((ring) =>
    loops(outside(foot, (ring + 0.5) * lineMm), lineMm),
  );
}

const loops = (area: Area, lineMm: number): LayerPath[] => area.map((path) => loopOf(path, 'foot', lineMm));

/** Sharp corners at the outside of a foot: they pull up first as what is above them shrinks. */
function cornersOf(foot: Area): [number, number][] {
  const bounds = boundsOf(foot);
  if (!bounds) return [];
  return outerEdges(foot).flatMap((path) =>
    path.flatMap((point, index): [number, number][] => {
      const before = path[(index + path.length - 1) % path.length]!;
      const after = path[(index + 1) % path.length]!;
      const [ax, ay] = [point.x - before.x, point.y - before.y];
      const [bx, by] = [after.x - point.x, after.y - point.y];
      const turn = Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
      return turn >= Math.PI - SHARP ? [[point.x / PER_MM, point.y / PER_MM]] : [];
    }),
  );
}

function disc(x: number, y: number, radiusMm: number): Path64 {
  return range(40).map((part) => ({
    x: Math.round((x + radiusMm * Math.cos((part * Math.PI) / 20)) * PER_MM),
    y: Math.round((y + radiusMm * Math.sin((part * Math.PI) / 20)) * PER_MM),
  }));
}

const range = (count: number) => Array.from({ length: count }, (_, index) => index);

import type { Support } from '@core/fields';
import {
  areaMm2,
  areaOfCorners,
  boundsOf,
  grown,
  holds,
  isNothing,
  joined,
  opened,
  PER_MM,
  piecesOf,
  without,
  type Area,
} from '@core/slice';

/** A round column that holds up a place of the part. mm. */
export interface Pillar {
  x: number;
  y: number;
  /** The first layer that it stands in, and the one in which it touches the part from below. */
  from: number;
  to: number;
  /** Whether it stands on the plate. */
  onPlate: boolean;
}

/** A place that hangs over nothing. */
export interface Hanging {
  layer: number;
  area: Area;
  /** Nothing of its piece has anything below. */
  alone: boolean;
}

/** Rims that reach out farther by less than this, or narrower than twice that, or smaller, hold by themselves: mm and mm². */
const SLACK_MM = 0.03;
const NARROWEST_MM = 0.06;
const SMALLEST_MM2 = 0.1;
const ALONE_SHARE = 0.98;

/** What hangs over air in each layer beyond what the one below carries. @param reachMm how far a layer may lie out. */
export function hangingIn(regions: readonly Area[], reachMm: number): Hanging[] {
  return regions.flatMap((region, layer): Hanging[] => {
    const below = regions[layer - 1];
    if (below === undefined || below === region) return [];
    const air = opened(without(region, grown(below, reachMm + SLACK_MM)), NARROWEST_MM);
    if (isNothing(air)) return [];
    const bodies = piecesOf(region);
    return piecesOf(air).flatMap((area): Hanging[] => {
      if (areaMm2(area) < SMALLEST_MM2) return [];
      const [[corner]] = area as [[{ x: number; y: number }]];
      const own = bodies.find(([outer]) => holds([outer!], corner.x / PER_MM, corner.y / PER_MM));
      const alone = own !== undefined && areaMm2(without(own, below)) > ALONE_SHARE * areaMm2(own);
      return [{ layer, area, alone }];
    });
  });
}

/** A tip holds what lies this near to it, as a share of how far tips are apart. */
const HOLDS_SHARE = 0.8;

/**
 * Columns under what hangs, from the lowest up, and what they leave in the air.
 * @param apartMm how far tips are from each other.
 */
export function pillarsUnder(
  hanging: readonly Hanging[],
  regions: readonly Area[],
  support: Support,
  apartMm: number,
  layerMm: number,
): { pillars: Pillar[]; left: Hanging[] } {
  if (support === 'none') return { pillars: [], left: [...hanging] };
  const pillars: Pillar[] = [];
  const left: Hanging[] = [];
  for (const one of hanging) {
    const places = placesIn(one.area, apartMm);
    let unheld = 0;
    for (const [x, y] of places) {
      const isHeld = pillars.some(
        (pillar) =>
          Math.hypot(pillar.x - x, pillar.y - y, (pillar.to - one.layer) * layerMm) < HOLDS_SHARE * apartMm,
      );
      if (isHeld) continue;
      const pillar = downFrom(x, y, one.layer, regions);
      if (pillar.onPlate || support === 'everywhere') pillars.push(pillar);
      else unheld += 1;
    }
    if (unheld > 0) left.push(one);
  }
  return { pillars, left };
}

/** Straight down until it meets the part or the plate. */
function downFrom(x: number, y: number, layer: number, regions: readonly Area[]): Pillar {
  let from = layer;
  while (from > 0 && !holds(regions[from - 1]!, x, y)) from -= 1;
  return { x, y, from, to: layer, onPlate: from === 0 };
}

/** Places on an even grid within an area, one at least. */
function placesIn(area: Area, apartMm: number): [number, number][] {
  const [left, low, right, high] = boundsOf(area)!;
  const even = (from: number, to: number) => {
    const count = Math.max(1, Math.ceil((to - from) / apartMm));
    return Array.from({ length: count }, (_, at) => from + ((at + 0.5) * (to - from)) / count);
  };
  const places = even(low, high).flatMap((y) =>
    even(left, right).flatMap((x): [number, number][] => (holds(area, x, y) ? [[x, y]] : [])),
  );
  if (places.length > 0) return places;
  const [{ x, y }] = area[0] as [{ x: number; y: number }];
  return [[x / PER_MM, y / PER_MM]];
}

/** A column becomes thin over this before it touches the part, and broad over this where it stands on the plate, mm. */
const TIP_MM = 1.5;
const FOOT_MM = 0.8;
/** How broad its foot is, times its own breadth. */
const FOOT_BY_PILLAR = 3;

/** How far the foot of a column reaches from its middle, mm. */
export const pillarFootMm = ({ pillarMm }: { pillarMm: number }): number => (FOOT_BY_PILLAR * pillarMm) / 2;

/** What columns cover in a layer. */
export function pillarArea(
  pillars: readonly Pillar[],
  layer: number,
  { pillarMm, tipMm, layerMm }: { pillarMm: number; tipMm: number; layerMm: number },
): Area {
  let area: Area = [];
  for (const { x, y, from, to, onPlate } of pillars) {
    if (layer < from || layer >= to) continue;
    const below = (to - layer) * layerMm;
    const thin = below < TIP_MM ? tipMm + ((pillarMm - tipMm) * below) / TIP_MM : pillarMm;
    const foot = onPlate && layer * layerMm < FOOT_MM ? FOOT_BY_PILLAR * pillarMm : thin;
    area = joined(area, disc(x, y, Math.max(thin, foot) / 2));
  }
  return area;
}

const DISC_CORNERS = 16;

const disc = (x: number, y: number, radius: number): Area =>
  areaOfCorners(
    Array.from({ length: DISC_CORNERS }, (_, at): [number, number] => {
      const angle = (2 * Math.PI * at) / DISC_CORNERS;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    }),
  );

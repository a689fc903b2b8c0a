import type { Support } from '@core/foundations/fields';
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
} from '@core/making/slice';

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
export interface Unsupported {
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

/** What is unsupported in a layer beyond what the one below carries. @param reachMm how far a layer may lie out. */
export function unsupportedIn(regions: readonly Area[], layer: number, reachMm: number): Unsupported[] {
  const [below, region] = [regions[layer - 1], regions[layer]!];
  if (below === undefined || below === region) return [];
  const air = opened(without(region, grown(below, reachMm + SLACK_MM)), NARROWEST_MM);
  if (isNothing(air)) return [];
  const bodies = piecesOf(region);
  return piecesOf(air).flatMap((area): Unsupported[] => {
    if (areaMm2(area) < SMALLEST_MM2) return [];
    const [[corner]] = area as [[{ x: number; y: number }]];
    const own = bodies.find(([outer]) => holds([outer!], corner.x / PER_MM, corner.y / PER_MM));
    const alone = own !== undefined && areaMm2(without(own, below)) > ALONE_SHARE * areaMm2(own);
    return [{ layer, area, alone }];
  });
}

/** A tip holds what lies this near to it, as a share of how far tips are apart. */
const HOLDS_SHARE = 0.8;

/**
 * Columns under what is unsupported, from the lowest up, and what they leave in the air. Works in steps; each gives the share of all holding that is done.
 * @param apartMm how far tips are from each other.
 */
export function* pillarsUnder(
  hanging: readonly Unsupported[],
  regions: readonly Area[],
  support: Support,
  apartMm: number,
  layerMm: number,
): Generator<number, { pillars: Pillar[]; left: Unsupported[] }> {
  if (support === 'none') return { pillars: [], left: [...hanging] };
  const pillars: Pillar[] = [];
  const left: Unsupported[] = [];
  for (const [index, one] of hanging.entries()) {
    yield 0.3 + (0.2 * index) / hanging.length;
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

/** A column becomes thin over this before it touches the part, and wide over this where it stands on the plate, mm. */
const TIP_MM = 1.5;
const FOOT_MM = 0.8;
/** How wide its foot is, times its own width. */
const FOOT_BY_PILLAR = 3;

/** How far the foot of a column reaches from its middle, mm. */
export const pillarBaseMm = ({ pillarMm }: { pillarMm: number }): number => (FOOT_BY_PILLAR * pillarMm) / 2;

/**
 * What columns cover, layer by layer, beside the part. Layers that are alike share one area. Gives how many layers are done.
 *
 * @param regions of the part.
 */
export function* pillarAreas(
  pillars: readonly Pillar[],
  regions: readonly Area[],
  { pillarMm, tipMm, layerMm }: { pillarMm: number; tipMm: number; layerMm: number },
): Generator<number, Area[]> {
  const acrossMm = ({ from, to, onPlate }: Pillar, layer: number): number => {
    if (layer < from || layer >= to) return 0;
    const below = (to - layer) * layerMm;
    const thin = below < TIP_MM ? tipMm + ((pillarMm - tipMm) * below) / TIP_MM : pillarMm;
    return onPlate && layer * layerMm < FOOT_MM ? Math.max(thin, FOOT_BY_PILLAR * pillarMm) : thin;
  };
  const areas: Area[] = [];
  let before = '';
  for (const [layer, region] of regions.entries()) {
    const across = pillars.map((pillar) => acrossMm(pillar, layer));
    const key = across.join();
    if (layer > 0 && key === before && region === regions[layer - 1]) {
      areas.push(areas[layer - 1]!);
      continue;
    }
    before = key;
    const discs = pillars.flatMap(({ x, y }, index) =>
      across[index]! > 0 ? disc(x, y, across[index]! / 2) : [],
    );
    // All at once: one by one would take with the square of their number.
    areas.push(discs.length > 0 ? without(joined(discs.slice(0, 1), discs.slice(1)), region) : []);
    yield layer;
  }
  return areas;
}

const DISC_CORNERS = 16;

const disc = (x: number, y: number, radius: number): Area =>
  areaOfCorners(
    Array.from({ length: DISC_CORNERS }, (_, at): [number, number] => {
      const angle = (2 * Math.PI * at) / DISC_CORNERS;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    }),
  );

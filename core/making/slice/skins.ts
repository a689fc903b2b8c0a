import { both, grown, isNothing, joined, opened, without, type Area } from './region';

/** What of the inside of a layer is solid, and what is infill. */
export interface Skin {
  solid: Area;
  filled: Area;
}

/** Fillings smaller than a square with sides of so many lines are made solid. */
const SMALLEST_FILLING_LINES = 4;

/**
 * Parts the inside of each layer into what must be solid, since there is air within so many layers above or below it, and the rest.
 *
 * @param regions the whole of each layer, from the lowest.
 * @param insides what is inside of its walls.
 */
export function skinsOf(
  regions: readonly Area[],
  insides: readonly Area[],
  { topLayers, bottomLayers, lineMm }: { topLayers: number; bottomLayers: number; lineMm: number },
): Skin[] {
  return insides.map((inside, layer) => {
    if (inside.length === 0) return { solid: [], filled: [] };
    let covered: Area = inside;
    for (const step of [...range(1, topLayers), ...range(-bottomLayers, -1)]) {
      const other = regions[layer + step] ?? [];
      // The same area as this layer's covers its inside.
      if (other === regions[layer]) continue;
      covered = both(covered, other);
      if (covered.length === 0) break;
    }
    if (covered === inside) return { solid: [], filled: inside };
    // Strips too narrow for a line of filling are solid too.
    const filled = opened(covered, (SMALLEST_FILLING_LINES / 2) * lineMm);
    if (isNothing(filled)) return { solid: inside, filled: [] };
    const solid = without(inside, filled);
    return isNothing(solid) ? { solid: [], filled: inside } : { solid, filled };
  });
}

const range = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, index) => from + index);

/** What of a layer has nothing under it, but for a hair. */
export function overAir(region: Area, below: Area): Area {
  if (region === below) return [];
  const air = without(region, grown(below, HAIR_MM));
  return isNothing(air) ? [] : air;
}

/** A rim that reaches out no farther than this is none, mm. */
const HAIR_MM = 0.05;

/**
 * Where columns have to stand, layer by layer, to hold up what would be printed in air.
 *
 * @param regions the whole of each layer, from the lowest.
 * @param reachMm how far a layer may lie out over the one below it.
 * @param under what lies under each.
 * @param held what needs no holding, since it reaches from one side to another: by layer.
 */
export function supportsOf(
  regions: readonly Area[],
  under: readonly Area[],
  held: readonly Area[],
  {
    reachMm,
    apartMm,
    gapLayers,
    fromBedOnly,
  }: {
    reachMm: number;
    /** Gap to the walls of the part beside a column, mm. */
    apartMm: number;
    /** Layers of air between a column and what lies on it. */
    gapLayers: number;
    fromBedOnly: boolean;
  },
): Area[] {
  const columns: Area[] = regions.map(() => []);
  let standing: Area = [];
  for (let layer = regions.length - 1; layer > 0; layer -= 1) {
    const region = regions[layer]!;
    const below = under[layer]!;
    if (region !== below) {
      // Columns are a little wider than what they hold, or nothing would be left of narrow ones.
      const needs = without(without(region, grown(below, reachMm)), held[layer]!);
      if (!isNothing(needs)) standing = joined(standing, grown(opened(needs, 0.05), apartMm + 0.4));
    }
    if (standing.length === 0) continue;
    standing = without(standing, grown(below, apartMm));
    const at = layer - 1 - gapLayers;
    if (at >= 0) columns[at] = without(standing, grown(regions[at]!, apartMm));
  }
  if (!fromBedOnly) return columns.map((area) => opened(area, 0.4));
  let shadow: Area = [];
  return columns.map((area, layer) => {
    if (layer === 0 || regions[layer] !== regions[layer - 1]) shadow = joined(shadow, regions[layer]!);
    return opened(without(area, grown(shadow, apartMm)), 0.4);
  });
}

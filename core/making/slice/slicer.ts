import type { WeldedMesh } from '@core/shaping/part';

import { bridgesOf, type Bridge } from './bridges';
import { contoursAt, cutTable, type CutTable } from './contours';
import { adhesionOf } from './adhesion';
import { gyroid } from './gyroid';
import { hatched } from './hatch';
import { middleLines } from './middleLines';
import { ordered, withSeam } from './order';
import type { LayerPath, SlicedLayer } from './paths';
import {
  areaMm2,
  areaWithin,
  grown,
  holds,
  isNothing,
  opened,
  PER_MM,
  piecesOf,
  placeWithin,
  sameArea,
  without,
  type Area,
} from './region';
import type { LayerSettings } from './settings';
import { overAir, skinsOf, supportsOf, type Skin } from './skins';
import { leftOf, wallsOf, type Walls } from './walls';

/** What is to be watched about a part that is printed. Places in mm, as the part lies. */
export type LayerWarning =
  | { code: 'slice.tooThin'; at: [number, number, number]; widthMm: number; layers: number }
  | { code: 'slice.inAir'; at: [number, number, number]; areaMm2: number }
  | { code: 'slice.overhang'; at: [number, number, number]; areaMm2: number }
  | { code: 'slice.longBridge'; at: [number, number, number]; spanMm: number; limitMm: number }
  | { code: 'slice.heightRounded'; askedMm: number; madeMm: number };

/** A part printed. */
export interface Sliced {
  layers: SlicedLayer[];
  /** What each layer's outline encloses, mm². */
  areasMm2: number[];
  /** What is on the bed. */
  foot: Area;
  warnings: LayerWarning[];
}

/** Habits of the machine that the layers take back or heed. */
export interface LayerHabits {
  /** How far the first layer spreads on the bed, mm on each side. */
  firstLayerSpreadMm: number;
  /** How far from upright a wall may lean outwards with nothing under it, radians. */
  overhang: number;
  /** Longest bridge it manages, mm. */
  bridgeMm: number;
}

/** What is reported while it works: the share that is done, 0 to 1. */
export type SliceProgress = number;

/** Columns are printed as lines so far apart, mm; the layers that carry the part lie close. */
const SUPPORT_APART_MM = 2.4;
const SUPPORT_BESIDE_MM = 0.5;
const SUPPORT_FACE_LAYERS = 2;
/** Layers of air between a column and what lies on it, so that it comes off. */
const SUPPORT_GAP_LAYERS = 1;
/** What lies this near beside a column is held by it, mm. */
const SUPPORT_HOLDS_MM = 1.5;

/** A height that is made otherwise by more than this is reported, mm. */
const ROUNDED_FROM_MM = 0.02;
/** Rims that reach out farther than the printer manages by less than this, narrower than twice that, or smaller, are none: mm and mm². */
const RIM_SLACK_MM = 0.05;
const RIM_NARROWEST_MM = 0.1;
const RIM_SMALLEST_MM2 = 0.2;
/** A piece of which more than this share has nothing below starts in mid-air. */
const ALONE_SHARE = 0.98;

interface Stages {
  regionsKey: string;
  regions: Area[];
  /** What lies under each layer: the one below as the part is, before its spread on the bed is taken back. */
  under: Area[];
  tops: number[];
  heights: number[];
  wallsKey: string;
  walls: Walls[];
  skinsKey: string;
  skins: Skin[];
  bridges: Bridge[][];
  columns: Area[];
  warnings: LayerWarning[];
}

/**
 * Lays one part in layers. What one setting does not touch is kept from the last time: another filling redoes no walls.
 * It works in steps, so that whoever runs it can tell how far it is and stop in between.
 */
export class Slicer {
  readonly #table: CutTable;
  readonly #lowest: number;
  readonly #top: number;
  #stages: Partial<Stages> = {};

  /** @param mesh closed, standing as it is to be printed. */
  constructor(mesh: WeldedMesh) {
    this.#table = cutTable(mesh);
    let [lowest, top] = [Infinity, -Infinity];
    for (let at = 2; at < mesh.positions.length; at += 3) {
      lowest = Math.min(lowest, mesh.positions[at]!);
      top = Math.max(top, mesh.positions[at]!);
    }
    this.#lowest = lowest;
    this.#top = top;
  }

  /** Sides of the mesh that no triangle shares: such a part can't be printed. */
  get open(): number {
    return this.#table.open;
  }

  get heightMm(): number {
    return this.#top - this.#lowest;
  }

  *run(settings: LayerSettings, habits: LayerHabits): Generator<SliceProgress, Sliced> {
    yield* this.#findRegions(settings, habits);
    yield* this.#layWalls(settings);
    yield* this.#findSkins(settings, habits);
    return yield* this.#fill(settings);
  }

  *#findRegions(settings: LayerSettings, habits: LayerHabits): Generator<SliceProgress> {
    const { layerMm, firstLayerMm } = settings;
    const key = [layerMm, firstLayerMm, habits.firstLayerSpreadMm].join();
    if (this.#stages.regionsKey === key) return;
    const count = layerCount(this.heightMm, layerMm, firstLayerMm);
    const tops = Array.from({ length: count }, (_, layer) => firstLayerMm + layer * layerMm);
    const heights = tops.map((_, layer) => (layer === 0 ? firstLayerMm : layerMm));
    const middles = tops.map((top, layer) => this.#lowest + top - heights[layer]! / 2);
    const regions: Area[] = [];
    for (const contours of contoursAt(this.#table, middles)) {
      const area = areaWithin(contours);
      const last = regions.at(-1);
      // The very same list stands for the same area, so that what follows is worked out once.
      regions.push(last && sameArea(last, area) ? last : area);
      if (regions.length % 20 === 0) yield (0.25 * regions.length) / count;
    }
    const under = regions.map((_, layer) => regions[layer - 1] ?? []);
    if (regions.length > 0) regions[0] = grown(regions[0]!, -habits.firstLayerSpreadMm);
    this.#stages = { regionsKey: key, regions, under, tops, heights };
  }

  *#layWalls({ walls: count, lineMm, singleWall }: LayerSettings): Generator<SliceProgress> {
    const key = [count, lineMm, singleWall].join();
    if (this.#stages.wallsKey === key) return;
    const regions = this.#stages.regions!;
    const walls: Walls[] = [];
    for (const [layer, region] of regions.entries()) {
      const same = layer > 0 && region === regions[layer - 1];
      walls.push(same ? walls[layer - 1]! : wallsOf(region, singleWall ? 1 : count, lineMm));
      if (layer % 10 === 9) yield 0.25 + (0.35 * layer) / regions.length;
    }
    this.#stages.walls = walls.map(({ paths, ...rest }) => ({
      ...rest,
      paths: paths.map((path) => (path.closed ? withSeam(path) : path)),
    }));
    this.#stages.wallsKey = key;
    delete this.#stages.skinsKey;
  }

  *#findSkins(settings: LayerSettings, habits: LayerHabits): Generator<SliceProgress> {
    const { topLayers, bottomLayers, lineMm, support, layerMm } = settings;
    const key = [topLayers, bottomLayers, support, habits.overhang, habits.bridgeMm].join();
    if (this.#stages.skinsKey === key) return;
    // Whoever stops it in between must not find the half of it under the old key.
    delete this.#stages.skinsKey;
    const { regions, under, walls, tops } = this.#stages as Stages;
    this.#stages.skins = skinsOf(
      regions,
      walls.map(({ inside }) => inside),
      { topLayers, bottomLayers, lineMm },
    );
    yield 0.65;
    const reachMm = layerMm * Math.tan(habits.overhang);
    const bridges: Bridge[][] = [];
    const held: Area[] = [];
    const warnings: LayerWarning[] = [...this.#thinPlaces(), ...this.#heightRounded(settings)];
    const hanging: { layer: number; air: Area }[] = [];
    for (const [layer, region] of regions.entries()) {
      const below = layer > 0 ? under[layer] : undefined;
      const air = below ? overAir(region, below) : [];
      const found = below && air.length > 0 ? bridgesOf(air, walls[layer]!.inside, below, lineMm) : [];
      bridges.push(found.filter(({ anchored }) => anchored));
      held.push(
        found
          .filter(({ anchored, spanMm }) => anchored && spanMm <= habits.bridgeMm)
          .flatMap(({ over }) => over),
      );
      for (const { area, spanMm, anchored } of found) {
        if (anchored && spanMm > habits.bridgeMm && support === 'none') {
          warnings.push({
            code: 'slice.longBridge',
            at: placeOf(area, tops[layer]!),
            spanMm,
            limitMm: habits.bridgeMm,
          });
        }
      }
      // A bridge that is too long is reported as that.
      const bridged = found.filter(({ anchored }) => anchored).flatMap(({ over }) => over);
      if (air.length > 0) hanging.push({ layer, air: without(air, bridged) });
      if (layer % 20 === 19) yield 0.65 + (0.1 * layer) / regions.length;
    }
    this.#stages.bridges = bridges;
    this.#stages.columns =
      support === 'none'
        ? regions.map(() => [])
        : supportsOf(regions, under, held, {
            reachMm,
            apartMm: SUPPORT_BESIDE_MM,
            gapLayers: SUPPORT_GAP_LAYERS,
            fromBedOnly: support === 'bed',
          });
    for (const { layer, air } of hanging) {
      // Columns from the bed do not reach everywhere: what they leave in the air is reported.
      const column = this.#stages.columns[layer - 1 - SUPPORT_GAP_LAYERS] ?? [];
      const left = without(air, grown(column, SUPPORT_HOLDS_MM));
      warnings.push(...this.#inAir(layer, regions[layer]!, under[layer]!, left, reachMm));
    }
    this.#stages.warnings = together(warnings);
    this.#stages.skinsKey = key;
  }

  #thinPlaces(): LayerWarning[] {
    const { walls, tops } = this.#stages as Stages;
    return walls.flatMap(({ tooThin }, layer) =>
      tooThin.map(({ at: [x, y], widthMm }) => ({
        code: 'slice.tooThin' as const,
        at: [x, y, tops[layer]!] as [number, number, number],
        widthMm,
        layers: 1,
      })),
    );
  }

  #heightRounded({ layerMm, firstLayerMm }: LayerSettings): LayerWarning[] {
    const count = layerCount(this.heightMm, layerMm, firstLayerMm);
    const madeMm = firstLayerMm + (count - 1) * layerMm;
    return Math.abs(madeMm - this.heightMm) > ROUNDED_FROM_MM
      ? [{ code: 'slice.heightRounded', askedMm: this.heightMm, madeMm }]
      : [];
  }

  /** Pieces that begin with nothing under them, and rims that reach out too far. */
  #inAir(layer: number, region: Area, below: Area, air: Area, reachMm: number): LayerWarning[] {
    const { tops, heights } = this.#stages as Stages;
    const bottom = tops[layer]! - heights[layer]!;
    const out = opened(without(air, grown(below, reachMm + RIM_SLACK_MM)), RIM_NARROWEST_MM);
    if (isNothing(out)) return [];
    return piecesOf(out).flatMap((piece): LayerWarning[] => {
      const mm2 = areaMm2(piece);
      if (mm2 < RIM_SMALLEST_MM2) return [];
      const begins = piecesOf(region).find(([outer]) =>
        holds([outer!], piece[0]![0]!.x / PER_MM, piece[0]![0]!.y / PER_MM),
      );
      const alone = begins !== undefined && areaMm2(without(begins, below)) > ALONE_SHARE * areaMm2(begins);
      return [{ code: alone ? 'slice.inAir' : 'slice.overhang', at: placeOf(piece, bottom), areaMm2: mm2 }];
    });
  }

  *#fill(settings: LayerSettings): Generator<SliceProgress, Sliced> {
    const { regions, tops, heights, walls, skins, bridges, columns, warnings } = this.#stages as Stages;
    const { singleWall, bottomLayers, lineMm } = settings;
    const layers: SlicedLayer[] = [];
    let at: [number, number] = [0, 0];
    // A layer like the last but one has lines like it: skins and fillings alternate.
    for (const [layer, topMm] of tops.entries()) {
      const paths: LayerPath[] = layer === 0 ? adhesionOf(regions[0]!, settings) : [];
      if (singleWall && layer >= bottomLayers) {
        paths.push(...walls[layer]!.paths.filter(({ kind }) => kind === 'outerWall'));
      } else {
        paths.push(...walls[layer]!.paths);
        const { solid, filled } = singleWall ? { solid: walls[layer]!.inside, filled: [] } : skins[layer]!;
        paths.push(...solidLines(solid, bridges[layer]!, layer, lineMm));
        paths.push(...fillLines(filled, settings, layer, topMm - heights[layer]! / 2));
      }
      paths.push(...columnLines(columns, layer, lineMm));
      const order = ordered(paths, at);
      const last = order.at(-1);
      if (last) at = endOf(last);
      layers.push({ topMm, heightMm: heights[layer]!, paths: order });
      if (layer % 10 === 9) yield 0.75 + (0.25 * layer) / tops.length;
    }
    return { layers, areasMm2: regions.map(areaMm2), foot: regions[0] ?? [], warnings };
  }
}

/** A height of whole layers is not one more by what calculating leaves, in layers. */
const HAIR_OF_LAYER = 1e-6;

/** How many layers a height takes: a layer is printed where its middle is still within the part. */
export function layerCount(heightMm: number, layerMm: number, firstLayerMm: number): number {
  if (heightMm <= firstLayerMm / 2) return 0;
  return 1 + Math.max(0, Math.ceil((heightMm - firstLayerMm) / layerMm - 0.5 - HAIR_OF_LAYER));
}

function endOf({ points, closed }: LayerPath): [number, number] {
  const end = closed ? 0 : points.length - 2;
  return [points[end]!, points[end + 1]!];
}

/** Solid lines, turned by a right angle from layer to layer; unsupported they lie across. What is too narrow for them gets a line along its middle. */
function solidLines(solid: Area, bridges: readonly Bridge[], layer: number, lineMm: number): LayerPath[] {
  if (solid.length === 0) return [];
  const paths: LayerPath[] = [];
  let rest = solid;
  for (const { area, angle } of bridges) {
    paths.push(...hatched(area, { kind: 'bridge', angle, spacingMm: lineMm, lineMm }));
    rest = without(rest, area);
  }
  const broad = opened(rest, lineMm / 2);
  for (const line of middleLines(leftOf(rest, broad), { narrowestMm: lineMm / 4, widestMm: 2 * lineMm })
    .lines) {
    paths.push({ ...line, kind: 'gap', closed: false });
  }
  const angle = layer % 2 === 0 ? Math.PI / 4 : (3 * Math.PI) / 4;
  paths.push(...hatched(broad, { kind: 'skin', angle, spacingMm: lineMm, lineMm }));
  return paths;
}

function fillLines(
  filled: Area,
  { fill, fillShare, lineMm }: LayerSettings,
  layer: number,
  zMm: number,
): LayerPath[] {
  if (filled.length === 0 || fillShare <= 0) return [];
  const line = { kind: 'fill', lineMm } as const;
  const [one, other] = [Math.PI / 4, (3 * Math.PI) / 4];
  if (fillShare > 0.8 || fill === 'lines') {
    return hatched(filled, { ...line, angle: layer % 2 === 0 ? one : other, spacingMm: lineMm / fillShare });
  }
  if (fill === 'grid') {
    const spacingMm = (2 * lineMm) / fillShare;
    return [one, other].flatMap((angle) => hatched(filled, { ...line, angle, spacingMm }));
  }
  return gyroid(filled, fillShare, lineMm, zMm);
}

function columnLines(columns: readonly Area[], layer: number, lineMm: number): LayerPath[] {
  const column = columns[layer]!;
  if (column.length === 0) return [];
  const face = without(column, columns[layer + SUPPORT_FACE_LAYERS] ?? []);
  const rest = without(column, face);
  return [
    ...hatched(face, { kind: 'supportFace', angle: 0, spacingMm: 1.6 * lineMm, lineMm }),
    ...hatched(rest, { kind: 'support', angle: Math.PI / 2, spacingMm: SUPPORT_APART_MM, lineMm }),
  ];
}

const placeOf = (area: Area, zMm: number): [number, number, number] => [...placeWithin(area), zMm];

/** Places of one kind near to each other are reported once: the thinnest, the largest, the first. */
const NEAR_MM = 5;

function together(warnings: readonly LayerWarning[]): LayerWarning[] {
  const told: LayerWarning[] = [];
  for (const warning of warnings) {
    const same = told.find(
      (known) =>
        known.code === warning.code &&
        'at' in known &&
        'at' in warning &&
        Math.hypot(known.at[0] - warning.at[0], known.at[1] - warning.at[1]) < NEAR_MM,
    );
    if (!same) told.push({ ...warning });
    else if (same.code === 'slice.tooThin' && warning.code === 'slice.tooThin') {
      same.layers += 1;
      same.widthMm = Math.min(same.widthMm, warning.widthMm);
    } else if ('areaMm2' in same && 'areaMm2' in warning && warning.areaMm2 > same.areaMm2) {
      Object.assign(same, warning);
    }
  }
  return told;
}

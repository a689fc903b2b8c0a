import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import type { Support } from '@core/foundations/fields';
import type { Resin, ResinPrinter, ResinSet } from '@core/record/model';
import type { WeldedMesh } from '@core/shaping/part';
import {
  faultOfSize,
  overhangsOnBed,
  overhangFaces,
  hullOf,
  oriented,
  placesOnBed,
  type BedPlace,
  type PartPlacement,
  type OverhangFaces,
  type Hull,
  type PartOnBed,
} from '@core/making/printing';
import {
  areaMm2,
  areaWithin,
  boundsOf,
  contoursAt,
  cornersOfArea,
  cutTable,
  grown,
  layerCount,
  movedBy,
  opened,
  placeWithin,
  sameArea,
  without,
  type Area,
  type CutTable,
} from '@core/making/slice';

import { cavitiesOf, type Cavity } from './cavities';
import { unsupportedIn, pillarAreas, pillarBaseMm, pillarsUnder, type Unsupported } from './pillars';
import type { ResinJob, ResinLayer } from './resinJob';
import { resinFigures, type ResinFigures } from './resinFigures';
import type { ResinWarning } from './resinWarning';

/** A part that is to be made in resin, with how many are made at once. */
export interface PartInResin extends Omit<PartOnBed, 'settings'> {
  support: Support;
}

/** Parts that are to be made in resin, in one job. */
export interface ResinRequest {
  /** One at least. */
  parts: readonly PartInResin[];
  printer: ResinPrinter;
  resin: Resin;
  set: ResinSet;
  /** g/cm³ */
  density: number;
}

/** What came of it. */
export interface SlicedResin {
  job: ResinJob;
  figures: ResinFigures;
  warnings: ResinWarning[];
  placements: PartPlacement[];
  /** What faces down over nothing, on the bed. */
  overhangs: OverhangFaces;
}

const MOST_LAYERS = 10_000;
/** Of light that is calculated for, mm. */
const REFERENCE_LAYER_MM = 0.05;

/**
 * Light for a layer of a height: what reaches its lower side falls by a power of e over the depth of penetration, so a higher one needs so much more (P. F.
 * Jacobs, "Rapid Prototyping & Manufacturing: Fundamentals of Stereolithography", 1992, working curve).
 */
export const exposureOf = ({ exposureSeconds, penetrationMm }: Resin, layerMm: number): number =>
  exposureSeconds * Math.exp((layerMm - REFERENCE_LAYER_MM) / penetrationMm);

/** A part as it was last cut, about its own middle. */
interface SlicedPart {
  down: string;
  laid: WeldedMesh;
  hull: Hull;
  table: CutTable;
  cutFor: string;
  /** As the part is, and with what strays in the first layers taken back. */
  regions: Area[];
  lit: Area[];
  cavities: Cavity[];
  thin: { layer: number; area: Area }[];
  heldFor: string;
  /** What columns cover, layer by layer. */
  columns: Area[];
  left: Unsupported[];
}

/** Lays parts in resin, one job after another, and keeps of each what stays the same. */
export class ResinSlicer {
  readonly #kept = new WeakMap<WeldedMesh, SlicedPart>();

  /** Works in steps; each gives the share that is done, 0 to 1. */
  *slice(request: ResinRequest): Generator<number, Result<SlicedResin, Fault>> {
    const { printer, resin, set, density, parts } = request;
    const fault = faultOfSettings(request);
    if (fault) return no(fault);
    const kept = parts.map((part) => this.#orientedPart(part));
    for (const { laid } of kept) {
      const tooLarge = faultOfSize(laid, printer.envelopeMm);
      if (tooLarge) return no(tooLarge);
    }
    const places = placesOnBed(
      parts.map((part, index) => ({
        ...part,
        hull: kept[index]!.hull,
        // Feet of columns stand out beside what they carry.
        settings: {
          foot: part.support === 'none' ? ('none' as const) : ('ears' as const),
          footMm: pillarBaseMm(set),
          lineMm: set.tipMm,
        },
      })),
      printer.envelopeMm,
    );
    if (!places.ok) return places;
    for (const [index, part] of kept.entries()) {
      if (part.table.open > 0) return no({ code: 'slice.notClosed', edges: part.table.open });
      const heightMm = heightOf(part.laid);
      const count = layerCount(heightMm, set.layerMm, set.layerMm);
      if (count === 0) return no({ code: 'slice.tooLow', heightMm, firstLayerMm: set.layerMm });
      if (count > MOST_LAYERS) return no({ code: 'slice.tooManyLayers', layers: count, most: MOST_LAYERS });
      for (const share of cut(part, count, request)) yield (0.9 * (index + 0.7 * share)) / parts.length;
      for (const share of hold(part, parts[index]!.support, request)) {
        yield (0.9 * (index + 0.7 + 0.3 * share)) / parts.length;
      }
    }
    const job: ResinJob = { layers: [], printer, resin, set };
    const highest = Math.max(...kept.map(({ lit }) => lit.length));
    const partMm3 = kept.map(() => 0);
    for (let layer = 0; layer < highest; layer += 1) {
      const made: ResinLayer = {
        topMm: (layer + 1) * set.layerMm,
        heightMm: set.layerMm,
        parts: [],
        pillars: [],
        seconds: layer < resin.footLayers ? resin.footSeconds : exposureOf(resin, set.layerMm),
      };
      for (const [index, { lit, columns: standing }] of kept.entries()) {
        const region = lit[layer] ?? [];
        const columns = standing[layer] ?? [];
        for (const place of places.value[index]!) {
          made.parts.push(...movedBy(region, place));
          made.pillars.push(...movedBy(columns, place));
        }
        const copies = places.value[index]!.length;
        partMm3[index]! += copies * (areaMm2(region) + areaMm2(columns)) * set.layerMm;
      }
      job.layers.push(made);
      if (layer % 10 === 9) yield 0.9 + (0.1 * layer) / highest;
    }
    const warnings = kept.flatMap((part, index) =>
      places.value[index]!.flatMap((place) => warningsOf(part, set.layerMm, place, index)),
    );
    const placements = kept.map(({ hull, lit }, index) => ({
      name: parts[index]!.name,
      hull,
      foot: cornersOfArea(lit[0] ?? []) as BedPlace[][],
      at: places.value[index]!,
    }));
    const overhangs = overhangsOnBed(
      kept.map(({ laid }, index) => ({
        faces: overhangFaces(laid, printer.overhang),
        at: places.value[index]!,
      })),
      [printer.envelopeMm[0] / 2, printer.envelopeMm[1] / 2],
    );
    return ok({ job, figures: resinFigures(job, partMm3, density), warnings, placements, overhangs });
  }

  #orientedPart({ mesh, down }: PartInResin): SlicedPart {
    const before = this.#kept.get(mesh);
    if (before?.down === down.join()) return before;
    const laid = oriented(mesh, down);
    const kept: SlicedPart = {
      down: down.join(),
      laid,
      hull: hullOf(laid),
      table: cutTable(laid),
      cutFor: '',
      regions: [],
      lit: [],
      cavities: [],
      thin: [],
      heldFor: '',
      columns: [],
      left: [],
    };
    this.#kept.set(mesh, kept);
    return kept;
  }
}

function faultOfSettings({ printer, set }: ResinRequest): Fault | null {
  const [low, high] = printer.layerMm;
  return set.layerMm >= low && set.layerMm <= high
    ? null
    : { code: 'slice.layerHeight', layerMm: set.layerMm, leastMm: low, mostMm: high };
}

function heightOf({ positions }: WeldedMesh): number {
  let top = 0;
  for (let at = 2; at < positions.length; at += 3) top = Math.max(top, positions[at]!);
  return top;
}

/** Its outlines layer by layer, what is too thin, and the rooms inside that hold resin. */
function* cut(part: SlicedPart, count: number, { printer, resin, set }: ResinRequest): Generator<number> {
  const { layerMm } = set;
  const key = [layerMm, resin.footLayers, printer.firstLayerSpreadMm, printer.smallestWallMm].join();
  if (part.cutFor === key) return;
  part.cutFor = '';
  part.heldFor = '';
  const heights = Array.from({ length: count }, (_, layer) => (layer + 0.5) * layerMm);
  part.regions = [];
  for (const contours of contoursAt(part.table, heights)) {
    const area = areaWithin(contours);
    const last = part.regions.at(-1);
    part.regions.push(last && sameArea(last, area) ? last : area);
    if (part.regions.length % 20 === 0) yield (0.6 * part.regions.length) / count;
  }
  part.thin = [];
  for (const [layer, region] of part.regions.entries()) {
    if (layer > 0 && region === part.regions[layer - 1]) continue;
    const thin = without(region, grown(opened(region, printer.smallestWallMm / 2), THIN_SLACK_MM));
    if (areaMm2(thin) > THIN_SMALLEST_MM2) part.thin.push({ layer, area: thin });
    if (layer % 20 === 0) yield 0.6 + (0.3 * layer) / count;
  }
  part.lit = part.regions.map((region, layer) =>
    layer < resin.footLayers ? grown(region, -printer.firstLayerSpreadMm) : region,
  );
  const box = part.regions.reduce<[number, number, number, number]>(
    (all, region) => {
      const [left, front, right, back] = boundsOf(region) ?? all;
      return [
        Math.min(all[0], left),
        Math.min(all[1], front),
        Math.max(all[2], right),
        Math.max(all[3], back),
      ];
    },
    [Infinity, Infinity, -Infinity, -Infinity],
  );
  part.cavities = [];
  // Of what is cut nowhere there is no box.
  if (Number.isFinite(box[0])) {
    const looking = cavitiesOf(part.regions, layerMm, box);
    let step = looking.next();
    while (!step.done) {
      yield 0.9 + 0.1 * step.value;
      step = looking.next();
    }
    part.cavities = step.value;
  }
  part.cutFor = key;
}

/** Corners that are cut off by looking for what is thin are no thin places: mm, mm². */
const THIN_SLACK_MM = 0.05;
const THIN_SMALLEST_MM2 = 0.3;

/** Its overhangs, the columns under them, and what these leave unsupported. */
function* hold(part: SlicedPart, support: Support, { printer, set }: ResinRequest): Generator<number> {
  const { layerMm, apartMm, pillarMm, tipMm } = set;
  const key = [support, layerMm, apartMm, pillarMm, tipMm, printer.overhang].join();
  if (part.heldFor === key) return;
  part.heldFor = '';
  const count = part.regions.length;
  const overhangs: Unsupported[] = [];
  const reachMm = layerMm * Math.tan(printer.overhang);
  for (const layer of part.regions.keys()) {
    overhangs.push(...unsupportedIn(part.regions, layer, reachMm));
    if (layer % 10 === 9) yield (0.3 * layer) / count;
  }
  const { pillars, left } = yield* pillarsUnder(overhangs, part.regions, support, apartMm, layerMm);
  const columns = pillarAreas(pillars, part.lit, set);
  let step = columns.next();
  while (!step.done) {
    yield 0.5 + (0.5 * step.value) / count;
    step = columns.next();
  }
  Object.assign(part, { columns: step.value, left, heldFor: key });
}

/** Places of one kind near to each other are reported once, the largest, mm. */
const NEAR_MM = 5;

function warningsOf(
  { left, thin, cavities }: SlicedPart,
  layerMm: number,
  [dx, dy]: BedPlace,
  part: number,
): ResinWarning[] {
  const at = (area: Area, layer: number): [number, number, number] => {
    const [x, y] = placeWithin(area);
    return [x + dx, y + dy, layer * layerMm];
  };
  const all: ResinWarning[] = [
    ...left.map(({ layer, area, alone }): ResinWarning => ({
      part,
      code: alone ? 'slice.inAir' : 'slice.overhang',
      at: at(area, layer),
      areaMm2: areaMm2(area),
    })),
    ...thin.map(({ layer, area }): ResinWarning => ({
      part,
      code: 'resin.tooThin',
      at: at(area, layer),
      areaMm2: areaMm2(area),
    })),
    ...cavities.map(({ kind, at: [x, y, z], mm3, areaMm2: cut }): ResinWarning => ({
      part,
      at: [x + dx, y + dy, z],
      ...(kind === 'cup' ? { code: 'resin.cup', areaMm2: cut } : { code: 'resin.closed', mm3 }),
    })),
  ];
  const told: ResinWarning[] = [];
  for (const one of all) {
    const same = told.find(
      (known) =>
        known.code === one.code && Math.hypot(known.at[0] - one.at[0], known.at[1] - one.at[1]) < NEAR_MM,
    );
    if (!same) told.push(one);
    else if ('areaMm2' in same && 'areaMm2' in one && one.areaMm2 > same.areaMm2) Object.assign(same, one);
  }
  return told;
}

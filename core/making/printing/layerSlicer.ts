import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import type { Filament, PrintSetup as LayingOfBody, LayerPrinter, LayerSet } from '@core/record/model';
import type { WeldedMesh } from '@core/shaping/part';
import { cornersOfArea, layerCount, Slicer, type LayerSettings, type Sliced } from '@core/making/slice';

import { overhangsOnBed, overhangFaces, type OverhangFaces } from './overhangFaces';
import { hullOf, type Hull } from './hull';
import { jobFigures, type JobFigures } from './jobFigures';
import type { BedPlace, PartOnBed } from './partOnBed';
import { placesOnBed } from './placesOnBed';
import { togetherOnBed, type BedLayers } from './togetherOnBed';
import { toolpathOf, type Toolpath } from './toolpath';
import { oriented } from './orientations';
import { lineBreadthMm } from '@core/record/workshop';

/** Parts that are to be made in layers, in one job. */
export interface LayerRequest {
  /** One at least; the first leads: its layers' heights hold for all. */
  parts: readonly PartOnBed[];
  machine: LayerPrinter;
  material: Filament;
  /** g/cm³ */
  density: number;
}

/** A part as it is on the bed, seen from above, mm. */
export interface PartPlacement {
  name: string;
  /** What it covers at most, and what of it touches the bed, about its own middle. */
  hull: Hull;
  foot: BedPlace[][];
  /** Where the middle of each piece stands, from the middle of the bed. */
  at: BedPlace[];
}

/** What came of it. */
export interface SlicedJob {
  sliced: BedLayers;
  job: Toolpath;
  figures: JobFigures;
  placements: PartPlacement[];
  /** What faces down unsupported, on the bed. */
  overhangs: OverhangFaces;
}

const MOST_LAYERS = 5000;

/** The printer and the material for layers, or what is missing. */
export function layerMeans(
  machine: { name: string; printer: LayerPrinter | null },
  material: { name: string; filament: Filament | null },
): Result<{ machine: LayerPrinter; material: Filament }, Fault> {
  if (!machine.printer) return no({ code: 'slice.noLayerMachine', machine: machine.name });
  if (!material.filament) return no({ code: 'slice.noLayerMaterial', material: material.name });
  return ok({ machine: machine.printer, material: material.filament });
}

/** Settings of the workshop as a printer lays a body with them: its nozzle decides how wide a line is. */
export function settingsFor(
  { version: _version, removed: _removed, ...set }: LayerSet,
  { support, foot }: Pick<LayingOfBody, 'support' | 'foot'>,
  { nozzleMm }: Pick<LayerPrinter, 'nozzleMm'>,
): LayerSettings {
  return { ...set, support, foot, lineMm: lineBreadthMm({ nozzleMm }) };
}

/** What stands in the way of request a part, before anything is worked out. */
function faultBefore(
  mesh: WeldedMesh,
  { layerMm, firstLayerMm }: LayerSettings,
  { machine, material }: Pick<LayerRequest, 'machine' | 'material'>,
): Fault | null {
  const [low, high] = machine.layerMm;
  const mostMm = Math.min(high, 0.8 * machine.nozzleMm);
  for (const mm of [layerMm, firstLayerMm]) {
    if (!(mm >= low && mm <= mostMm)) return { code: 'slice.layerHeight', layerMm: mm, leastMm: low, mostMm };
  }
  if (material.nozzleC > machine.hottestNozzleC) {
    return { code: 'slice.machineTooCold', neededC: material.nozzleC, mostC: machine.hottestNozzleC };
  }
  const tooLarge = faultOfSize(mesh, machine.envelopeMm);
  if (tooLarge) return tooLarge;
  const size = sizeOf(mesh);
  const layers = layerCount(size[2], layerMm, firstLayerMm);
  if (layers === 0) return { code: 'slice.tooLow', heightMm: size[2], firstLayerMm };
  if (layers > MOST_LAYERS) return { code: 'slice.tooManyLayers', layers, most: MOST_LAYERS };
  return null;
}

/** What does not fit into the build volume of a machine in its orientation. */
export function faultOfSize(mesh: WeldedMesh, room: readonly [number, number, number]): Fault | null {
  const size = sizeOf(mesh);
  return size.some((side, axis) => side > room[axis]!)
    ? { code: 'slice.doesNotFit', sizeMm: size, roomMm: [...room] }
    : null;
}

function sizeOf({ positions }: WeldedMesh): [number, number, number] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 1) {
    low[at % 3] = Math.min(low[at % 3]!, positions[at]!);
    high[at % 3] = Math.max(high[at % 3]!, positions[at]!);
  }
  return [high[0]! - low[0]!, high[1]! - low[1]!, high[2]! - low[2]!];
}

/** A part as it was last oriented and sliced. */
interface SlicedPart {
  down: string;
  oriented: WeldedMesh;
  hull: Hull;
  slicer: Slicer;
  /** Of the last slicing, and for what. */
  slicedFor: string;
  sliced: Sliced | null;
}

/**
 * Lays parts in layers, one job after another, and keeps of each part what stays the same: how it lies, and of its layers what a setting does not
 * touch. Another number of pieces, or another place on the bed, does not slice again.
 */
export class LayerSlicer {
  readonly #kept = new WeakMap<WeldedMesh, SlicedPart>();

  /** Works in steps; each gives the share that is done, 0 to 1. */
  *slice(request: LayerRequest): Generator<number, Result<SlicedJob, Fault>> {
    const { machine, material, density } = request;
    const { layerMm, firstLayerMm } = request.parts[0]!.settings;
    const parts = request.parts.map((part) => ({
      ...part,
      kept: this.#orientedPart(part),
      settings: { ...part.settings, layerMm, firstLayerMm },
    }));
    for (const { kept, settings } of parts) {
      const fault = faultBefore(kept.oriented, settings, request);
      if (fault) return no(fault);
    }
    const places = placesOnBed(
      parts.map(({ kept, ...part }) => ({ ...part, hull: kept.hull })),
      machine.envelopeMm,
    );
    if (!places.ok) return places;
    const placed = [];
    for (const [index, { kept, settings, name }] of parts.entries()) {
      if (kept.slicer.open > 0) return no({ code: 'slice.notClosed', edges: kept.slicer.open });
      for (const share of this.#slice(kept, settings, machine)) yield (index + share) / parts.length;
      const sliced = kept.sliced!;
      if (!sliced.layers.some(({ paths }) => paths.some(({ kind }) => kind !== 'foot'))) {
        return no({ code: 'slice.nothingLaid', lineMm: settings.lineMm });
      }
      placed.push({ sliced, settings, name, hull: kept.hull, at: places.value[index]! });
    }
    const sliced = togetherOnBed(placed);
    const middle = [machine.envelopeMm[0] / 2, machine.envelopeMm[1] / 2] as const;
    const job = toolpathOf(sliced, machine, material, parts[0]!.settings, middle);
    yield 1;
    const placements = placed.map(({ name, hull, at, sliced: { foot } }) => ({
      name,
      hull,
      at,
      foot: cornersOfArea(foot),
    }));
    const overhangs = overhangsOnBed(
      parts.map(({ kept }, index) => ({
        faces: overhangFaces(kept.oriented, machine.overhang),
        at: places.value[index]!,
      })),
      middle,
    );
    return ok({ sliced, job, figures: jobFigures(job, density, parts.length), placements, overhangs });
  }

  #orientedPart({ mesh, down }: PartOnBed): SlicedPart {
    const before = this.#kept.get(mesh);
    if (before?.down === down.join()) return before;
    const onBed = oriented(mesh, down);
    const kept: SlicedPart = {
      down: down.join(),
      oriented: onBed,
      hull: hullOf(onBed),
      slicer: new Slicer(onBed),
      slicedFor: '',
      sliced: null,
    };
    this.#kept.set(mesh, kept);
    return kept;
  }

  *#slice(kept: SlicedPart, settings: LayerSettings, machine: LayerPrinter): Generator<number> {
    // A loop goes round all that is on the bed.
    const own = settings.foot === 'skirt' ? { ...settings, foot: 'none' as const } : settings;
    const { firstLayerSpreadMm, overhang, bridgeMm } = machine;
    const key = JSON.stringify([own, firstLayerSpreadMm, overhang, bridgeMm]);
    if (kept.slicedFor === key) return;
    kept.slicedFor = '';
    kept.sliced = yield* kept.slicer.run(own, machine);
    kept.slicedFor = key;
  }
}

import { no, ok, type Fault, type Result } from '@core/fault';
import type { Filament, Laying as LayingOfBody, LayerPrinter, LayerSet } from '@core/model';
import type { Vec3, WeldedMesh } from '@core/part';
import { layerCount, Slicer, type LayerSettings, type LayerWarning, type Sliced } from '@core/slice';

import { toolpathOf, type Toolpath } from './toolpath';
import { jobFigures, type JobFigures } from './jobFigures';
import { onOneBed } from './onOneBed';
import { laidDown } from './wayUp';

/** A part that is to be made in layers. */
export interface Laying {
  /** Closed, in its own frame, as large as it is to be made. */
  mesh: WeldedMesh;
  down: Vec3;
  machine: LayerPrinter;
  material: Filament;
  settings: LayerSettings;
  /** g/cm³ */
  density: number;
  /** How many are made at once; 1 where nothing is said. */
  pieces?: number;
}

/** What came of it. */
export interface LaidOut {
  sliced: Sliced;
  job: Toolpath;
  figures: JobFigures;
  warnings: LayerWarning[];
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

/** A line is so much broader than the nozzle's hole. */
const LINE_BY_NOZZLE = 1.1;

/** Settings of the workshop as a printer lays a body with them: its nozzle decides how broad a line is. */
export function settingsFor(
  { version: _version, removed: _removed, ...set }: LayerSet,
  { support, foot }: Pick<LayingOfBody, 'support' | 'foot'>,
  { nozzleMm }: Pick<LayerPrinter, 'nozzleMm'>,
): LayerSettings {
  return { ...set, support, foot, lineMm: Math.round(LINE_BY_NOZZLE * nozzleMm * 100) / 100 };
}

/** What stands in the way of laying a part, before anything is worked out. */
export function faultBefore({
  mesh,
  machine,
  material,
  settings,
}: Omit<Laying, 'density' | 'down' | 'pieces'>): Fault | null {
  const { layerMm, firstLayerMm } = settings;
  const [low, high] = machine.layerMm;
  const mostMm = Math.min(high, 0.8 * machine.nozzleMm);
  for (const mm of [layerMm, firstLayerMm]) {
    if (!(mm >= low && mm <= mostMm)) return { code: 'slice.layerHeight', layerMm: mm, leastMm: low, mostMm };
  }
  if (material.nozzleC > machine.hottestNozzleC) {
    return { code: 'slice.machineTooCold', neededC: material.nozzleC, mostC: machine.hottestNozzleC };
  }
  const size = sizeOf(mesh);
  const room = machine.envelopeMm;
  if (size.some((side, axis) => side > room[axis]!)) {
    return { code: 'slice.doesNotFit', sizeMm: size, roomMm: [...room] as [number, number, number] };
  }
  const layers = layerCount(size[2], layerMm, firstLayerMm);
  if (layers === 0) return { code: 'slice.tooLow', heightMm: size[2], firstLayerMm };
  if (layers > MOST_LAYERS) return { code: 'slice.tooManyLayers', layers, most: MOST_LAYERS };
  return null;
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

/**
 * Lays parts in layers, one after another, and keeps what stays the same: the mesh as it lies, and of its layers what a setting does not touch.
 */
export class LayerBench {
  #mesh: WeldedMesh | null = null;
  #down = '';
  #laid: WeldedMesh | null = null;
  /** What was last sliced: several pieces of it, or itself, and for what. */
  #onBed: { key: string; mesh: WeldedMesh } | null = null;
  #slicer: Slicer | null = null;

  /** Works in steps; each gives the share that is done, 0 to 1. */
  *layOut(laying: Laying): Generator<number, Result<LaidOut, Fault>> {
    const { mesh, down, machine, material, settings, density, pieces = 1 } = laying;
    if (this.#mesh !== mesh || this.#down !== down.join()) {
      this.#laid = laidDown(mesh, down);
      this.#onBed = null;
      [this.#mesh, this.#down] = [mesh, down.join()];
    }
    const fault = faultBefore({ ...laying, mesh: this.#laid! });
    if (fault) return no(fault);
    const { foot, footMm, lineMm } = settings;
    const [width, depth] = machine.envelopeMm;
    const key = pieces === 1 ? '' : [pieces, width, depth, foot, footMm, lineMm].join();
    if (this.#onBed?.key !== key) {
      const onBed = onOneBed(this.#laid!, pieces, machine.envelopeMm, settings);
      if (!onBed.ok) return onBed;
      this.#onBed = { key, mesh: onBed.value };
      this.#slicer = null;
    }
    this.#slicer ??= new Slicer(this.#onBed.mesh);
    if (this.#slicer.open > 0) return no({ code: 'slice.notClosed', edges: this.#slicer.open });
    const sliced = yield* this.#slicer.run(settings, machine);
    if (!sliced.layers.some(({ paths }) => paths.some(({ kind }) => kind !== 'foot'))) {
      return no({ code: 'slice.nothingLaid', lineMm: settings.lineMm });
    }
    const middle = [machine.envelopeMm[0] / 2, machine.envelopeMm[1] / 2] as const;
    const job = toolpathOf(sliced, machine, material, settings, middle);
    yield 1;
    return ok({ sliced, job, figures: jobFigures(job, density), warnings: sliced.warnings });
  }
}

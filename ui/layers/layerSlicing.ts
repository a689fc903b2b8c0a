import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import {
  drawingOf,
  happeningsIn,
  keptJob,
  type KeptJob,
  type SlicedJob,
  LayerSlicer,
  layerMeans,
  readGcode,
  type SliceRequest,
  orientationsOf,
  type Orientation,
  writeGcode,
} from '@core/making/printing';
import { imageStack, ResinSlicer, resinDrawing, resinHappenings, type SlicedResin } from '@core/making/resin';

import type { ComparedReply, SliceReply, LayerWorker } from './protocol';

/** It works so long at a stretch, ms; then whoever wants to stop it is heard. */
const STRETCH_MS = 40;

const RUNS = ['lay', 'compare', 'pictures'] as const;

/** A job, by how it is made. */
type CurrentJob = { by: 'filament'; laid: SlicedJob } | { by: 'resin'; laid: SlicedResin };

/** What the layer worker does, without the worker. */
export class LayerSlicing implements LayerWorker {
  readonly #meshes = new Map<string, WeldedMesh>();
  readonly #bench = new LayerSlicer();
  /** Compared ways share what stays the same, as layers do of which only the material differs. */
  readonly #compared = new LayerSlicer();
  readonly #resin = { lay: new ResinSlicer(), compare: new ResinSlicer() };
  #job: CurrentJob | null = null;
  /** Counted up with every start, so that what goes on for an earlier one ends. Comparing ends no laying. */
  readonly #runs = { lay: 0, compare: 0, pictures: 0 };

  /** @param rest lets other messages be heard. */
  constructor(private readonly rest: () => Promise<void>) {}

  async setMesh(bodyId: string, mesh: WeldedMesh): Promise<void> {
    await this.cancel();
    this.#meshes.set(bodyId, mesh);
    this.#job = null;
  }

  async lend(bodyId: string, mesh: WeldedMesh): Promise<void> {
    this.#meshes.set(bodyId, mesh);
  }

  async forget(): Promise<void> {
    await this.cancel();
    this.#meshes.clear();
    this.#job = null;
  }

  async orientations(bodyId: string, overhang: number, load: Vec3 | null): Promise<Orientation[]> {
    const mesh = this.#meshes.get(bodyId);
    return mesh ? orientationsOf(mesh, overhang, load) : [];
  }

  async slice(
    request: SliceRequest,
    onProgress: (share: number) => void,
  ): Promise<Result<SliceReply, Fault> | null> {
    const made = await this.#make('lay', request, onProgress);
    if (!made?.ok) {
      if (made) this.#job = null;
      return made;
    }
    this.#job = made.value;
    if (made.value.by === 'resin') {
      const { job, figures, warnings, placements, overhangs } = made.value.laid;
      return ok({
        drawing: resinDrawing(job),
        summary: { by: 'resin', figures, warnings },
        happenings: resinHappenings(job, warnings),
        placements,
        overhangs,
      });
    }
    const { job, figures, sliced, placements, overhangs } = made.value.laid;
    return ok({
      drawing: drawingOf(job),
      summary: { by: 'filament', figures, warnings: sliced.warnings },
      happenings: happeningsIn(sliced),
      placements,
      overhangs,
    });
  }

  async compare(request: SliceRequest): Promise<Result<ComparedReply, Fault> | null> {
    const made = await this.#make('compare', request, () => {});
    if (!made?.ok) return made;
    return ok({ figures: made.value.laid.figures });
  }

  async gcode(title: string, when: string): Promise<Result<string, Fault>> {
    return this.#job?.by === 'filament'
      ? writeGcode(this.#job.laid.job, title, when)
      : no({ code: 'slice.notLaid' });
  }

  async pictures(
    title: string,
    when: string,
    onProgress: (share: number) => void,
  ): Promise<Result<Uint8Array, Fault> | null> {
    if (this.#job?.by !== 'resin') return no({ code: 'slice.notLaid' });
    const bytes = await this.#inStretches(
      'pictures',
      imageStack(this.#job.laid.job, title, when),
      onProgress,
    );
    return bytes && ok(bytes);
  }

  async read(text: string): Promise<KeptJob | null> {
    return keptJob(readGcode(text));
  }

  async cancel(): Promise<void> {
    for (const what of RUNS) this.#runs[what] += 1;
  }

  async #make(
    what: 'lay' | 'compare',
    request: SliceRequest,
    onProgress: (share: number) => void,
  ): Promise<Result<CurrentJob, Fault> | null> {
    const { parts, machine, material } = request;
    const onBed = parts.flatMap(({ bodyId, ...part }) => {
      const mesh = this.#meshes.get(bodyId);
      return mesh ? [{ ...part, mesh }] : [];
    });
    if (onBed.length === 0 || onBed.length < parts.length) return no({ code: 'slice.notLaid' });
    const { density } = material;
    if (request.resin) {
      const { printer, resin, set } = request.resin;
      if (!resin) return no({ code: 'slice.noResin', material: material.name });
      const work = this.#resin[what].slice({ parts: onBed, printer, resin, set, density });
      const laid = await this.#inStretches(what, work, onProgress);
      return laid?.ok ? ok({ by: 'resin', laid: laid.value }) : laid;
    }
    const means = layerMeans(machine, material);
    if (!means.ok) return means;
    const bench = what === 'lay' ? this.#bench : this.#compared;
    const laid = await this.#inStretches(
      what,
      bench.slice({ ...means.value, parts: onBed, density }),
      onProgress,
    );
    return laid?.ok ? ok({ by: 'filament', laid: laid.value }) : laid;
  }

  /** Works on until it is done, with rests in between; null if it was stopped. */
  async #inStretches<T>(
    what: (typeof RUNS)[number],
    work: Generator<number, T>,
    onProgress: (share: number) => void,
  ): Promise<T | null> {
    const run = (this.#runs[what] += 1);
    for (let since = performance.now(); ;) {
      const step = work.next();
      if (step.done) return step.value;
      if (performance.now() - since < STRETCH_MS) continue;
      onProgress(step.value);
      await this.rest();
      if (run !== this.#runs[what]) return null;
      since = performance.now();
    }
  }
}

import { no, ok, type Fault, type Result } from '@core/fault';
import type { Vec3, WeldedMesh } from '@core/part';
import {
  drawingOf,
  happeningsIn,
  keptJob,
  LayerBench,
  layerMeans,
  readGcode,
  waysUp,
  writeGcode,
  type Toolpath,
  type KeptJob,
  type LaidOut,
  type WayUp,
} from '@core/printing';

import type { ComparedReply, LaidReply, LayerWorker, LayWish } from './protocol';

/** It works so long at a stretch, ms; then whoever wants to stop it is heard. */
const STRETCH_MS = 40;

/** What the layer worker does, without the worker. */
export class LayerDesk implements LayerWorker {
  readonly #meshes = new Map<string, WeldedMesh>();
  readonly #bench = new LayerBench();
  /** Compared ways share what stays the same, as layers do of which only the material differs. */
  readonly #compared = new LayerBench();
  #job: Toolpath | null = null;
  /** Counted up with every start, so that what goes on for an earlier one ends. Comparing ends no laying. */
  readonly #runs = { lay: 0, compare: 0 };

  /** @param rest lets other messages be heard. */
  constructor(private readonly rest: () => Promise<void>) {}

  async setMesh(bodyId: string, mesh: WeldedMesh): Promise<void> {
    await this.cancel();
    this.#meshes.set(bodyId, mesh);
    this.#job = null;
  }

  async waysUp(bodyId: string, overhang: number, load: Vec3 | null): Promise<WayUp[]> {
    const mesh = this.#meshes.get(bodyId);
    return mesh ? waysUp(mesh, overhang, load) : [];
  }

  async lay(wish: LayWish, onProgress: (share: number) => void): Promise<Result<LaidReply, Fault> | null> {
    const laid = await this.#lay('lay', wish, onProgress);
    if (!laid?.ok) {
      if (laid) this.#job = null;
      return laid;
    }
    const { job, figures, sliced, footings } = laid.value;
    this.#job = job;
    const { warnings } = sliced;
    return ok({ drawing: drawingOf(job), figures, warnings, happenings: happeningsIn(sliced), footings });
  }

  async compare(wish: LayWish): Promise<Result<ComparedReply, Fault> | null> {
    const laid = await this.#lay('compare', wish, () => {});
    if (!laid?.ok) return laid;
    return ok({ figures: laid.value.figures });
  }

  async gcode(title: string, when: string): Promise<Result<string, Fault>> {
    return this.#job ? writeGcode(this.#job, title, when) : no({ code: 'slice.notLaid' });
  }

  async read(text: string): Promise<KeptJob | null> {
    return keptJob(readGcode(text));
  }

  async cancel(): Promise<void> {
    this.#runs.lay += 1;
    this.#runs.compare += 1;
  }

  async #lay(
    what: 'lay' | 'compare',
    { parts, machine, material }: LayWish,
    onProgress: (share: number) => void,
  ): Promise<Result<LaidOut, Fault> | null> {
    const run = (this.#runs[what] += 1);
    const onBed = parts.flatMap(({ bodyId, ...part }) => {
      const mesh = this.#meshes.get(bodyId);
      return mesh ? [{ ...part, mesh }] : [];
    });
    if (onBed.length === 0 || onBed.length < parts.length) return no({ code: 'slice.notLaid' });
    const means = layerMeans(machine, material);
    if (!means.ok) return means;
    const work = (what === 'lay' ? this.#bench : this.#compared).layOut({
      ...means.value,
      parts: onBed,
      density: material.density,
    });
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

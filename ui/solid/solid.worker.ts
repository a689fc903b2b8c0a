import { KernelTrap } from '@core/part';
import './importMetaRegistry';

import { expose } from 'comlink';

import { startKernel } from '@core/kernel';

import { BodyBench } from './bodyBench';
import { fetchFont, fetchKernel } from './fetchKernel';
import type { SolidWorker, WorkerWatcher } from './protocol';

let bench: BodyBench | null = null;

/** Comlink loses the class of an error; its name survives. */
function run<T>(work: (bench: BodyBench) => T): T {
  if (!bench) throw new KernelTrap('not started');
  try {
    return work(bench);
  } catch (error) {
    if (error instanceof WebAssembly.RuntimeError) throw new KernelTrap(error.message);
    throw error;
  }
}

const worker: SolidWorker = {
  async start(watcher: WorkerWatcher) {
    let told = 0;
    const wasmBinary = await fetchKernel((share) => {
      const now = performance.now();
      if (now - told < 50 && share < 1) return;
      told = now;
      watcher.loading(share);
    });
    // Letters are rare: a font that does not come keeps nobody from working.
    const font = await fetchFont().catch(() => null);
    const kernel = await startKernel({ wasmBinary });
    bench = new BodyBench(kernel, (bodyId, stepId) => watcher.step(bodyId, stepId), font);
  },
  build: async (request) => run((ready) => ready.build(request)),
  cutOpen: async (bodyId, plane, step) => run((ready) => ready.cutOpen(bodyId, plane, step)),
  file: async (bodyId, format, label, when) => run((ready) => ready.file(bodyId, format, label, when)),
  picture: async (bodyId) => run((ready) => ready.picture(bodyId)),
  stage: async (bodyId, steps) => run((ready) => ready.stage(bodyId, steps)),
  countEdges: async (bodyId, steps, rules) => run((ready) => ready.countEdges(bodyId, steps, rules)),
  showEdges: async (bodyId, steps, rule) => run((ready) => ready.showEdges(bodyId, steps, rule)),
  measure: async (first, second) => run((ready) => ready.measure(first, second)),
  starterFigure: async (id) => run((ready) => ready.starterFigure(id)),
  clearances: async (bodyId) => run((ready) => ready.clearances(bodyId)),
  slide: async (bodyId, wish) => run((ready) => ready.slide(bodyId, wish)),
};

expose(worker);

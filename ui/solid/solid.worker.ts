import { KernelTrap } from '@core/shaping/part';
import './importMetaRegistry';

import { expose, transfer } from 'comlink';

import { startKernel } from '@core/shaping/kernel';

import { BodyBench, buffersOf } from './bodyBench';
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

async function start(watcher: WorkerWatcher) {
  let told = 0;
  // Letters are rare: a font that does not come keeps nobody from working.
  const fontOnItsWay = fetchFont().catch(() => null);
  const module = await fetchKernel((share) => {
    const now = performance.now();
    if (now - told < 50 && share < 1) return;
    told = now;
    watcher.loading(share);
  });
  const [kernel, font] = await Promise.all([startKernel(module), fontOnItsWay]);
  bench = new BodyBench(
    kernel,
    (bodyId, stepId) => watcher.step(bodyId, stepId),
    font,
    (body) => watcher.stands(transfer(body, buffersOf(body.mesh))),
  );
}

/** Every call goes to the bench's method of that name. */
const worker = new Proxy({} as SolidWorker, {
  get: (_, name) =>
    name === 'start'
      ? start
      : async (...given: unknown[]) =>
          run((ready) =>
            (ready[name as keyof BodyBench] as (...given: unknown[]) => unknown).apply(ready, given),
          ),
});

expose(worker);

import { calledWorker, type WorkerHandle } from '../shared/calledWorker';
import { kernelFile } from './kernelFile';
import type { SolidWorker } from './protocol';

export type SolidHandle = WorkerHandle<SolidWorker>;

/** Starts the real worker; tests hand the workbench another way of starting one. */
export function spawnWorker(): SolidHandle {
  askForKernel();
  return calledWorker<SolidWorker>(new Worker(new URL('./solid.worker', window.location.href)));
}

/** The kernel comes while the worker still reads its own script, which finds it in the browser’s store. */
function askForKernel(): void {
  if (document.head.querySelector(`link[href="${kernelFile}"]`)) return;
  const link = document.createElement('link');
  link.rel = 'prefetch';
  link.as = 'fetch';
  link.href = kernelFile;
  document.head.append(link);
}

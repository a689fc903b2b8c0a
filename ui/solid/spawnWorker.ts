import { calledWorker, type WorkerHandle } from '../shared/calledWorker';
import type { SolidWorker } from './protocol';

export type SolidHandle = WorkerHandle<SolidWorker>;

/** Starts the real worker; tests hand the workbench another way of starting one. */
export const spawnWorker = (): SolidHandle =>
  calledWorker<SolidWorker>(new Worker(new URL('./solid.worker', window.location.href)));

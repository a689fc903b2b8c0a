import { calledWorker, type WorkerHandle } from '../shared/calledWorker';
import type { FoundWorker } from './protocol';

/** The worker for scanned pieces, which can be ended at any moment: so is long work stopped. */
export type FoundHandle = WorkerHandle<FoundWorker>;

export const spawnFound = (): FoundHandle =>
  calledWorker<FoundWorker>(new Worker(new URL('./found.worker', window.location.href)));

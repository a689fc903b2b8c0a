import { proxy, wrap } from 'comlink';

import type { SolidWorker, WorkerWatcher } from './protocol';

/** A worker that can be ended at any moment. */
export interface WorkerHandle {
  worker: SolidWorker;
  end(): void;
}

/** Starts the real worker; tests hand the workbench another way of starting one. */
export function spawnWorker(): WorkerHandle {
  const thread = new Worker(new URL('./solid.worker', window.location.href));
  const remote = wrap<SolidWorker>(thread);
  // Calls go through as they are; the watcher alone is called back.
  const start = (watcher: WorkerWatcher) => remote.start(proxy(watcher));
  return {
    worker: new Proxy(remote, {
      get: (calls, name) => (name === 'start' ? start : (Reflect.get(calls, name) as unknown)),
    }),
    end: () => thread.terminate(),
  };
}

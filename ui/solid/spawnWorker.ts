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
  return {
    worker: {
      start: (watcher: WorkerWatcher) => remote.start(proxy(watcher)),
      build: (request) => remote.build(request),
      cutOpen: (...given) => remote.cutOpen(...given),
      file: (...given) => remote.file(...given),
      picture: (bodyId) => remote.picture(bodyId),
      stage: (...given) => remote.stage(...given),
      countEdges: (...given) => remote.countEdges(...given),
      showEdges: (...given) => remote.showEdges(...given),
      measure: (...given) => remote.measure(...given),
      starterFigure: (id) => remote.starterFigure(id),
      clearances: (bodyId) => remote.clearances(bodyId),
      slide: (...given) => remote.slide(...given),
    },
    end: () => thread.terminate(),
  };
}

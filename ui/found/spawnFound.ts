import { proxy, transfer, wrap } from 'comlink';

import type { FoundWorker } from './protocol';

/** The worker for scanned pieces, which can be ended at any moment: so is long work stopped. */
export interface FoundHandle {
  worker: FoundWorker;
  end(): void;
}

export function spawnFound(): FoundHandle {
  const thread = new Worker(new URL('./found.worker', window.location.href));
  const remote = wrap<FoundWorker>(thread);
  return {
    worker: {
      setSpare: (mesh) => remote.setSpare(mesh),
      read: (bytes, name) => remote.read(transfer(bytes, [bytes.buffer as ArrayBuffer]), name),
      // Progress alone is called back.
      lay: (unitMm, onShare) => remote.lay(unitMm, proxy(onShare)),
      layAt: (place) => remote.layAt(place),
      piece: () => remote.piece(),
      layBy: (pairs, onShare) => remote.layBy(pairs, proxy(onShare)),
      keepable: (way, byAll) => remote.keepable(way, byAll),
      show: (way, byAll, withinMm, onShare) => remote.show(way, byAll, withinMm, proxy(onShare)),
    },
    end: () => thread.terminate(),
  };
}

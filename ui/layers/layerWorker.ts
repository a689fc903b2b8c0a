import { proxy, wrap } from 'comlink';

import type { LayerWorker } from './protocol';

let worker: LayerWorker | null = null;

/** The one worker for layers; it is started when it is first needed. */
export function layerWorker(): LayerWorker {
  if (worker) return worker;
  const remote = wrap<LayerWorker>(new Worker(new URL('./layers.worker', window.location.href)));
  worker = {
    setMesh: (bodyId, mesh) => remote.setMesh(bodyId, mesh),
    lend: (bodyId, mesh) => remote.lend(bodyId, mesh),
    forget: () => remote.forget(),
    waysUp: (bodyId, overhang, load) => remote.waysUp(bodyId, overhang, load),
    // Calls go through as they are; progress alone is called back.
    slice: (request, onProgress) => remote.slice(request, proxy(onProgress)),
    compare: (request) => remote.compare(request),
    gcode: (title, when) => remote.gcode(title, when),
    pictures: (title, when, onProgress) => remote.pictures(title, when, proxy(onProgress)),
    read: (text) => remote.read(text),
    cancel: () => remote.cancel(),
  };
  return worker;
}

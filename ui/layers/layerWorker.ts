import { calledWorker } from '../shared/calledWorker';
import type { LayerWorker } from './protocol';

let worker: LayerWorker | null = null;

/** The one worker for layers; it is started when it is first needed. */
export function layerWorker(): LayerWorker {
  worker ??= calledWorker<LayerWorker>(new Worker(new URL('./layers.worker', window.location.href))).worker;
  return worker;
}

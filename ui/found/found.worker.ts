import { expose, transfer } from 'comlink';

import { FoundDesk } from './foundDesk';
import type { FoundWorker } from './protocol';

const desk = new FoundDesk();

const worker: FoundWorker = {
  setSpare: (mesh) => Promise.resolve(desk.setSpare(mesh)),
  read: (bytes, name) => Promise.resolve(desk.read(bytes, name)),
  lay: (unitMm, onShare) => Promise.resolve(desk.lay(unitMm, onShare)),
  show: (way, byAll, withinMm, onShare) => {
    const shown = desk.show(way, byAll, withinMm, onShare);
    const buffers = Object.values(shown.painted).map(({ buffer }: Float32Array) => buffer as ArrayBuffer);
    return Promise.resolve(transfer(shown, buffers));
  },
};

expose(worker);

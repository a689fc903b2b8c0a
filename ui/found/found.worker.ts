import { expose, transfer } from 'comlink';

import { ScanComparison } from './scanComparison';
import type { FoundWorker } from './protocol';

const desk = new ScanComparison();

const worker: FoundWorker = {
  setSpare: (mesh) => Promise.resolve(desk.setSpare(mesh)),
  read: (bytes, name) => Promise.resolve(desk.read(bytes, name)),
  lay: (unitMm, onShare) => Promise.resolve(desk.lay(unitMm, onShare)),
  layAt: (place) => Promise.resolve(desk.layAt(place)),
  piece: () => {
    const piece = desk.piece();
    return Promise.resolve(transfer(piece, [piece.positions.buffer, piece.indices.buffer]));
  },
  layBy: (pairs, onShare) => Promise.resolve(desk.layBy(pairs, onShare)),
  keepable: (way, byAll) => {
    const kept = desk.keepable(way, byAll);
    return Promise.resolve(transfer(kept, [kept.bytes.buffer]));
  },
  show: (way, byAll, withinMm, onShare) => {
    const shown = desk.show(way, byAll, withinMm, onShare);
    const buffers = Object.values(shown.painted).map(({ buffer }: Float32Array) => buffer as ArrayBuffer);
    return Promise.resolve(transfer(shown, buffers));
  },
};

expose(worker);

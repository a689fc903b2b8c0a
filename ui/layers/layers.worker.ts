import { expose, transfer } from 'comlink';

import { LayerSlicing } from './layerSlicing';
import type { LayerWorker } from './protocol';

const desk = new LayerSlicing(() => new Promise((resolve) => setTimeout(resolve)));

const worker: LayerWorker = {
  setMesh: (bodyId, mesh) => desk.setMesh(bodyId, mesh),
  lend: (bodyId, mesh) => desk.lend(bodyId, mesh),
  forget: () => desk.forget(),
  orientations: (bodyId, overhang, load) => desk.orientations(bodyId, overhang, load),
  slice: async (request, onProgress) => {
    const reply = await desk.slice(request, onProgress);
    if (!reply?.ok) return reply;
    const { begins, topMm, heightMm, seconds, x, y, kind, width, speed } = reply.value.drawing;
    const { triangles, hatching } = reply.value.overhangs;
    const arrays = [begins, topMm, heightMm, seconds, x, y, kind, width, speed, triangles, hatching];
    return transfer(
      reply,
      arrays.map(({ buffer }) => buffer as ArrayBuffer),
    );
  },
  compare: (request) => desk.compare(request),
  gcode: (title, when) => desk.gcode(title, when),
  pictures: async (title, when, onProgress) => {
    const written = await desk.pictures(title, when, onProgress);
    return written?.ok ? transfer(written, [written.value.buffer as ArrayBuffer]) : written;
  },
  read: (text) => desk.read(text),
  cancel: () => desk.cancel(),
};

expose(worker);

import type { Toolpath } from './toolpath';

/** All moves of a job in flat arrays, each of which may be transferred. Places on the bed, mm. */
export interface LayerDrawing {
  /** Where the points of each layer begin, and where the last one's end. */
  begins: Uint32Array;
  topMm: Float32Array;
  heightMm: Float32Array;
  seconds: Float32Array;
  /** Where each move ends; the first point of a layer is where it begins. */
  x: Float32Array;
  y: Float32Array;
  /** Into MOVE_KINDS. */
  kind: Uint8Array;
  /** Breadth of the line, mm. */
  width: Float32Array;
  /** mm/s */
  speed: Float32Array;
}

/** A job as it is drawn. */
export function drawingOf({ layers }: Toolpath): LayerDrawing {
  const count = layers.reduce((sum, { x }) => sum + x.length, 0);
  const drawing: LayerDrawing = {
    begins: new Uint32Array(layers.length + 1),
    topMm: Float32Array.from(layers, ({ zMm }) => zMm),
    heightMm: Float32Array.from(layers, ({ heightMm }) => heightMm),
    seconds: Float32Array.from(layers, ({ allSeconds }) => allSeconds),
    x: new Float32Array(count),
    y: new Float32Array(count),
    kind: new Uint8Array(count),
    width: new Float32Array(count),
    speed: new Float32Array(count),
  };
  let at = 0;
  for (const [index, layer] of layers.entries()) {
    drawing.x.set(layer.x, at);
    drawing.y.set(layer.y, at);
    drawing.kind.set(layer.kind, at);
    drawing.width.set(layer.width, at);
    drawing.speed.set(layer.speed, at);
    at += layer.x.length;
    drawing.begins[index + 1] = at;
  }
  return drawing;
}

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

/** A drawing with room for so many points, none of which is drawn yet. */
export function blankDrawing(
  layers: readonly { topMm: number; heightMm: number; seconds: number }[],
  points: number,
): LayerDrawing {
  return {
    begins: new Uint32Array(layers.length + 1),
    topMm: Float32Array.from(layers, ({ topMm }) => topMm),
    heightMm: Float32Array.from(layers, ({ heightMm }) => heightMm),
    seconds: Float32Array.from(layers, ({ seconds }) => seconds),
    x: new Float32Array(points),
    y: new Float32Array(points),
    kind: new Uint8Array(points),
    width: new Float32Array(points),
    speed: new Float32Array(points),
  };
}

/** A job as it is drawn. */
export function drawingOf({ layers }: Toolpath): LayerDrawing {
  const drawing = blankDrawing(
    layers.map(({ zMm, heightMm, allSeconds }) => ({ topMm: zMm, heightMm, seconds: allSeconds })),
    layers.reduce((sum, { x }) => sum + x.length, 0),
  );
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

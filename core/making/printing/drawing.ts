import { arcCentre, arcRadius, chordsFor, placesAlong, type Arc } from './arcs';
import type { Toolpath, ToolpathLayer } from './toolpath';

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

/** Arcs are drawn by chords that stay within this of them, mm. */
export const DRAWN_WITHIN_MM = 0.01;

/** A job as it is drawn: arcs by chords. */
export function drawingOf({ layers }: Toolpath): LayerDrawing {
  const drawing = blankDrawing(
    layers.map(({ zMm, heightMm, allSeconds }) => ({ topMm: zMm, heightMm, seconds: allSeconds })),
    layers.reduce((sum, layer) => sum + layer.x.reduce((all, _, move) => all + placesIn(layer, move), 0), 0),
  );
  let at = 0;
  for (const [index, layer] of layers.entries()) {
    for (let move = 0; move < layer.x.length; move += 1) {
      for (const [x, y] of places(layer, move)) {
        drawing.x[at] = x;
        drawing.y[at] = y;
        drawing.kind[at] = layer.kind[move]!;
        drawing.width[at] = layer.width[move]!;
        drawing.speed[at] = layer.speed[move]!;
        at += 1;
      }
    }
    drawing.begins[index + 1] = at;
  }
  return drawing;
}

function arcOf({ x, y, sweep }: ToolpathLayer, move: number): Arc {
  return { from: [x[move - 1]!, y[move - 1]!], to: [x[move]!, y[move]!], sweep: sweep[move]! };
}

/** How many straight lines a move is drawn by, and where they end. */
function placesIn(layer: ToolpathLayer, move: number): number {
  const sweep = layer.sweep[move]!;
  return sweep === 0 ? 1 : chordsFor(arcRadius(arcOf(layer, move)), sweep, DRAWN_WITHIN_MM);
}
function places(layer: ToolpathLayer, move: number): [number, number][] {
  if (layer.sweep[move] === 0) return [[layer.x[move]!, layer.y[move]!]];
  const arc = arcOf(layer, move);
  return placesAlong(arcCentre(arc), arc, DRAWN_WITHIN_MM);
}

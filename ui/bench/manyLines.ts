import { MOVE_KINDS, type LayerDrawing } from '@core/making/printing';

/** Layers of a tall part, points round each, and lines of filling in it. */
const LAYERS = 250;
const ROUND = 400;
const FILLING = 60;
const RADIUS_MM = 25;
const LAYER_MM = 0.2;

const kindOf = (name: (typeof MOVE_KINDS)[number]) => MOVE_KINDS.indexOf(name);

/** A round part of 250 layers, each with a wall of 400 lines and 60 of filling: as heavy as a job gets. */
export function manyLines(): LayerDrawing {
  const each = ROUND + 1 + 2 * FILLING;
  const count = LAYERS * each;
  const drawing: LayerDrawing = {
    begins: Uint32Array.from({ length: LAYERS + 1 }, (_, layer) => layer * each),
    topMm: Float32Array.from({ length: LAYERS }, (_, layer) => (layer + 1) * LAYER_MM),
    heightMm: new Float32Array(LAYERS).fill(LAYER_MM),
    seconds: new Float32Array(LAYERS).fill(20),
    x: new Float32Array(count),
    y: new Float32Array(count),
    kind: new Uint8Array(count),
    width: new Float32Array(count).fill(0.45),
    speed: new Float32Array(count).fill(60),
  };
  let at = 0;
  const add = (x: number, y: number, kind: number) => {
    drawing.x[at] = x;
    drawing.y[at] = y;
    drawing.kind[at] = kind;
    at += 1;
  };
  for (let layer = 0; layer < LAYERS; layer += 1) {
    const radius = RADIUS_MM + 2 * Math.sin(layer / 20);
    for (let point = 0; point <= ROUND; point += 1) {
      const turn = (2 * Math.PI * point) / ROUND;
      add(radius * Math.cos(turn), radius * Math.sin(turn), kindOf('outerWall'));
    }
    for (let line = 0; line < FILLING; line += 1) {
      const y = radius * ((2 * (line + 0.5)) / FILLING - 1);
      const half = Math.sqrt(radius ** 2 - y ** 2);
      const way = line % 2 === 0 ? 1 : -1;
      add(-way * half, y, kindOf('travel'));
      add(way * half, y, kindOf('fill'));
    }
  }
  return drawing;
}

/** Its lines that are seen with the last layer chosen, six numbers each, mm: walls of all, and the filling of the last. */
export function seenOf({ begins, x, y, kind, topMm }: LayerDrawing): Float32Array {
  const seen: number[] = [];
  for (let layer = 0; layer + 1 < begins.length; layer += 1) {
    const isLast = layer + 2 === begins.length;
    for (let at = begins[layer]! + 1; at < begins[layer + 1]!; at += 1) {
      const isSeen = kind[at] === kindOf('outerWall') || (isLast && kind[at] === kindOf('fill'));
      if (isSeen) seen.push(x[at - 1]!, y[at - 1]!, topMm[layer]!, x[at]!, y[at]!, topMm[layer]!);
    }
  }
  return Float32Array.from(seen);
}

import { blankDrawing, MOVE_KINDS, type Happening, type LayerDrawing } from '@core/making/printing';
import { PER_MM, type Area } from '@core/making/slice';

import type { ResinJob } from './resinJob';
import type { ResinWarning } from './resinWarning';

const EDGE = MOVE_KINDS.indexOf('outerWall');
const PILLAR = MOVE_KINDS.indexOf('support');
const TRAVEL = MOVE_KINDS.indexOf('travel');

/** A job in resin as it is drawn: the edges of what is lit. */
export function resinDrawing({ layers, printer }: ResinJob): LayerDrawing {
  const [width, depth] = printer.envelopeMm;
  const pointsOf = (area: Area) => area.reduce((sum, path) => sum + path.length + 1, 0);
  const count = layers.reduce((sum, { parts, pillars }) => sum + pointsOf(parts) + pointsOf(pillars), 0);
  const drawing = blankDrawing(layers, count);
  let at = 0;
  const draw = (area: Area, kind: number) => {
    for (const path of area) {
      for (let corner = 0; corner <= path.length; corner += 1) {
        const { x, y } = path[corner % path.length]!;
        drawing.x[at] = x / PER_MM + width / 2;
        drawing.y[at] = y / PER_MM + depth / 2;
        drawing.kind[at] = corner === 0 ? TRAVEL : kind;
        at += 1;
      }
    }
  };
  for (const [index, { parts, pillars }] of layers.entries()) {
    draw(parts, EDGE);
    draw(pillars, PILLAR);
    drawing.begins[index + 1] = at;
  }
  return drawing;
}

/** What begins, ends or is to be watched as the layers go up, for marks along the height. */
export function resinHappenings({ layers, set }: ResinJob, warnings: readonly ResinWarning[]): Happening[] {
  const found: Happening[] = [];
  let held = false;
  for (const [layer, { pillars }] of layers.entries()) {
    const holds = pillars.length > 0;
    if (holds !== held) found.push({ layer, what: holds ? 'supportBegins' : 'supportEnds' });
    held = holds;
  }
  for (const { code, at } of warnings) {
    const layer = Math.min(layers.length - 1, Math.max(0, Math.round(at[2] / set.layerMm)));
    found.push({ layer, what: code });
  }
  return found.sort((a, b) => a.layer - b.layer);
}

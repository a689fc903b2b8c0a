import type { Layout } from '@core/record/model';
import { isNothing } from '@core/foundations/tolerance';

import type { Frame } from './frame';
import type { Observation } from './observations';

/** A place in the frame, mm. */
export interface Position {
  x: number;
  y: number;
}

/**
 * Where the adjustment begins. Points are put where two distances from points already placed cross, on the side
 * of them where the sketch has it; coordinates from edges are taken as they are; what can't be placed so stays
 * where the sketch has it, brought to scale. The sketch thus only has to be right about sides, not about sizes.
 */
export function startingValues(
  layout: Layout,
  observations: readonly Observation[],
  frame: Frame,
): Float64Array {
  const sketch = scaledSketch(layout, observations, frame);
  const placed = placeByCrossing(layout, observations, frame, sketch);
  return valuesAt(layout, frame, new Map([...sketch, ...placed]), placed);
}

/**
 * The unknowns with the points at such places; the far edges a little past the farthest of some of them, the others at nothing.
 */
export function valuesAt(
  layout: Layout,
  frame: Frame,
  places: ReadonlyMap<string, Position>,
  within: ReadonlyMap<string, Position> = places,
): Float64Array {
  const values = new Float64Array(frame.size);
  for (const { id } of layout.points) {
    const { x, y } = places.get(id)!;
    values[frame.xOf(id)] = x;
    values[frame.yOf(id)] = y;
  }
  const farthest = (axis: 'x' | 'y') => Math.max(0, ...[...within.values()].map((place) => place[axis]));
  values[frame.right] = farthest('x') * 1.1;
  values[frame.top] = farthest('y') * 1.1;
  for (const index of frame.held) values[index] = 0;
  return values;
}

/** The sketch in the frame, at the scale that its distances ask for. */
export function scaledSketch(
  layout: Layout,
  observations: readonly Observation[],
  frame: Frame,
): Map<string, Position> {
  const raw = new Map(layout.points.map(({ id, x, y }) => [id, { x, y }]));
  const ratios = observations.flatMap(({ from, to, observedMm }) => {
    if (!('point' in from) || !('point' in to)) return [];
    const [a, b] = [raw.get(from.point), raw.get(to.point)];
    const drawn = a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
    return isNothing(drawn) ? [] : [observedMm / drawn];
  });
  ratios.sort((a, b) => a - b);
  const scale = ratios[ratios.length >> 1] ?? 1;
  const [first, second] = layout.points;
  if (!first) return raw;
  const turnBy =
    frame.tiedTo === 'firstTwoPoints' && second ? -Math.atan2(second.y - first.y, second.x - first.x) : 0;
  const [cos, sin] = [Math.cos(turnBy), Math.sin(turnBy)];
  const origin = frame.tiedTo === 'firstTwoPoints' ? first : { x: 0, y: 0 };
  const turned = new Map<string, Position>();
  for (const [id, { x, y }] of raw) {
    const [dx, dy] = [(x - origin.x) * scale, (y - origin.y) * scale];
    turned.set(id, { x: cos * dx - sin * dy, y: sin * dx + cos * dy });
  }
  return turned;
}

function placeByCrossing(
  layout: Layout,
  observations: readonly Observation[],
  frame: Frame,
  sketch: ReadonlyMap<string, Position>,
): Map<string, Position> {
  const placed = new Map<string, Position>();
  const neighbours = new Map<string, { id: string; mm: number }[]>();
  const edgeX = new Map<string, number>();
  const edgeY = new Map<string, number>();
  for (const { from, to, observedMm } of observations) {
    if ('point' in from && 'point' in to) {
      for (const [one, other] of [
        [from.point, to.point],
        [to.point, from.point],
      ] as const) {
        const list = neighbours.get(one) ?? [];
        list.push({ id: other, mm: observedMm });
        neighbours.set(one, list);
      }
    } else if ('point' in from !== 'point' in to) {
      const point = 'point' in from ? from.point : (to as { point: string }).point;
      const edge = 'edge' in from ? from.edge : (to as { edge: string }).edge;
      if (edge === 'left') edgeX.set(point, observedMm);
      if (edge === 'bottom') edgeY.set(point, observedMm);
    }
  }
  for (const { id } of layout.points) {
    const [x, y] = [edgeX.get(id), edgeY.get(id)];
    if (x !== undefined && y !== undefined) placed.set(id, { x, y });
  }
  const [first, second] = layout.points;
  if (placed.size === 0 && first && second && frame.tiedTo === 'firstTwoPoints') {
    placed.set(first.id, { x: 0, y: 0 });
    const between = neighbours.get(first.id)?.find(({ id }) => id === second.id)?.mm;
    const drawn = sketch.get(second.id)!;
    placed.set(second.id, { x: between ?? Math.hypot(drawn.x, drawn.y), y: 0 });
  }
  for (let grown = true; grown;) {
    grown = false;
    for (const { id } of layout.points) {
      if (placed.has(id)) continue;
      const place = crossing(id, neighbours.get(id) ?? [], placed, sketch);
      if (!place) continue;
      placed.set(id, place);
      grown = true;
    }
  }
  return placed;
}

/** Where the circles round two placed neighbours cross, on the sketch's side; of all pairs the squarest crossing. */
function crossing(
  id: string,
  neighbours: readonly { id: string; mm: number }[],
  placed: ReadonlyMap<string, Position>,
  sketch: ReadonlyMap<string, Position>,
): Position | null {
  const known = neighbours.filter((neighbour) => placed.has(neighbour.id));
  let best: { place: Position; squareness: number } | null = null;
  for (let i = 0; i < known.length; i += 1) {
    for (let j = i + 1; j < known.length; j += 1) {
      const [a, b] = [known[i]!, known[j]!];
      const [pa, pb] = [placed.get(a.id)!, placed.get(b.id)!];
      const base = Math.hypot(pb.x - pa.x, pb.y - pa.y);
      if (isNothing(base)) continue;
      const along = (base * base + a.mm * a.mm - b.mm * b.mm) / (2 * base);
      const up = Math.sqrt(Math.max(0, a.mm * a.mm - along * along));
      const squareness = up / Math.max(a.mm, b.mm);
      if (best && best.squareness >= squareness) continue;
      const [ux, uy] = [(pb.x - pa.x) / base, (pb.y - pa.y) / base];
      const [sa, sb, sp] = [sketch.get(a.id)!, sketch.get(b.id)!, sketch.get(id)!];
      const side = (sb.x - sa.x) * (sp.y - sa.y) - (sb.y - sa.y) * (sp.x - sa.x) < 0 ? -1 : 1;
      best = {
        place: { x: pa.x + along * ux - side * up * uy, y: pa.y + along * uy + side * up * ux },
        squareness,
      };
    }
  }
  return best?.place ?? null;
}

import { MOVE_KINDS, type LayerDrawing, type MoveKind } from '@core/making/printing';

/** A line that was tapped. */
export interface LineHere {
  kind: MoveKind;
  widthMm: number;
  speed: number;
}

/** The line of a layer that is nearest to a place, if it is near enough; ways without a line do not count. */
export function lineAt(
  { begins, x, y, kind, width, speed }: LayerDrawing,
  layer: number,
  at: { x: number; y: number },
  reachMm: number,
): LineHere | null {
  let found: LineHere | null = null;
  let best = reachMm;
  for (let move = begins[layer]! + 1; move < begins[layer + 1]!; move += 1) {
    const name = MOVE_KINDS[kind[move]!]!;
    if (name === 'travel') continue;
    const [ax, ay] = [x[move - 1]!, y[move - 1]!];
    const [dx, dy] = [x[move]! - ax, y[move]! - ay];
    const square = dx * dx + dy * dy;
    const share = square === 0 ? 0 : Math.max(0, Math.min(1, ((at.x - ax) * dx + (at.y - ay) * dy) / square));
    const away = Math.hypot(at.x - ax - share * dx, at.y - ay - share * dy);
    if (away >= best) continue;
    best = away;
    found = { kind: name, widthMm: width[move]!, speed: speed[move]! };
  }
  return found;
}

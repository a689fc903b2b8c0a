import type { Curve, Loop, Point } from './curves';

/**
 * Loops for a blend: circles are cut into as many arcs as the loop with the most corners has curves, at the same turns
 * about their middles, so that corner meets corner in order. Other loops stay as they are.
 */
export function evenedLoops(loops: readonly Loop[]): Loop[] {
  const model = loops.reduce((best, loop) => (loop.length > best.length ? loop : best));
  if (model.length < 2) return [...loops];
  const starts = model.map(startOf);
  const middle = [0, 1].map((axis) => starts.reduce((sum, at) => sum + at[axis]!, 0) / starts.length);
  const turns = starts.map(([x, y]) => Math.atan2(y - middle[1]!, x - middle[0]!));
  return loops.map((loop) => {
    const only = loop[0]!;
    return loop.length === 1 && only.kind === 'circle' ? arcsOf(only, turns) : loop;
  });
}

function startOf(curve: Curve): Point {
  if (curve.kind === 'line' || curve.kind === 'arc') return curve.from;
  return curve.kind === 'spline' ? curve.points[0]! : curve.middle;
}

function arcsOf(
  { middle: [x, y], radius, role }: Extract<Curve, { kind: 'circle' }>,
  turns: readonly number[],
): Loop {
  const at = (turn: number): Point => [x + radius * Math.cos(turn), y + radius * Math.sin(turn)];
  return turns.map((turn, index): Curve => {
    const next = turns[(index + 1) % turns.length]!;
    const sweep = (next - turn + 4 * Math.PI) % (2 * Math.PI);
    return { kind: 'arc', from: at(turn), via: at(turn + sweep / 2), to: at(next), role };
  });
}

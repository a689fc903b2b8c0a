import { no, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import type { DrawnCurve } from '@core/record/model';

import { loopsOfCurves, regionOfLoops, type Region } from './chain';
import type { Curve, Point } from './curves';

/**
 * The region of a drawn outline. Roles: curve and its number in the list.
 *
 * @param lengths those of its points (`points.0.x`) and curves (`curves.3.diameter`), mm.
 */
export function drawnRegion(
  points: readonly { id: string }[],
  curves: readonly DrawnCurve[],
  lengths: Readonly<Record<string, NamedLength>>,
): Result<Region, StepFault> {
  const places = new Map(
    points.map(({ id }, index): [string, Point] => [
      id,
      [lengths[`points.${index}.x`]!.mm, lengths[`points.${index}.y`]!.mm],
    ]),
  );
  const known: Curve[] = [];
  for (const [index, curve] of curves.entries()) {
    const role = `curve${index}`;
    const missing = pointsOf(curve).find((id) => !places.has(id));
    if (missing !== undefined) return no({ code: 'outline.noPoint', place: index + 1, point: missing });
    const at = (id: string) => places.get(id)!;
    const half = (key: string) => lengths[`curves.${index}.${key}`]!.mm / 2;
    switch (curve.kind) {
      case 'line':
        known.push({ kind: 'line', from: at(curve.from), to: at(curve.to), role });
        break;
      case 'arc':
        known.push({ kind: 'arc', from: at(curve.from), via: at(curve.via), to: at(curve.to), role });
        break;
      case 'spline':
        known.push({ kind: 'spline', points: curve.points.map(at), closed: curve.closed, role });
        break;
      case 'circle':
        known.push({ kind: 'circle', middle: at(curve.middle), radius: half('diameter'), role });
        break;
      case 'ellipse':
        known.push({
          kind: 'ellipse',
          middle: at(curve.middle),
          alongX: half('length'),
          alongY: half('breadth'),
          role,
        });
    }
  }
  const loops = loopsOfCurves(known);
  return loops.ok ? regionOfLoops(loops.value) : loops;
}

function pointsOf(curve: DrawnCurve): string[] {
  switch (curve.kind) {
    case 'line':
      return [curve.from, curve.to];
    case 'arc':
      return [curve.from, curve.via, curve.to];
    case 'spline':
      return curve.points;
    case 'circle':
    case 'ellipse':
      return [curve.middle];
  }
}

import type { Prediction } from '@core/measuring/adjustment';

import { Jet } from './jets';
import type { At } from './slopes';

/**
 * How far an ellipse along the outline's two ways reaches from its middle, square to the line from a to b, mm: √((p nₓ)² + (q n_y)²) with its half axes
 * p and q and the line's unit normal n.
 *
 * @param axes where its half axes stand among the unknowns.
 */
export function ellipseReach([a, b]: readonly [At, At], axes: At, v: ArrayLike<number>): Prediction {
  const unknowns = [...a, ...b, ...axes];
  const [ax, ay, bx, by, p, q] = unknowns.map((unknown, place) =>
    Jet.unknown(v[unknown]!, place, unknowns.length),
  ) as [Jet, Jet, Jet, Jet, Jet, Jet];
  const [dx, dy] = [bx.minus(ax), by.minus(ay)];
  const { value, slopes } = p.times(dy).hypot(q.times(dx)).over(dx.hypot(dy));
  return { value, at: unknowns, slopes };
}

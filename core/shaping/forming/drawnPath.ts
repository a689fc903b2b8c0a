import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import type { Vec3 } from '@core/foundations/vectors';
import { alongArc, type Curve, type Point, type Run } from '@core/shaping/outline';

import type { PathPiece } from './swept';

/**
 * A drawn run as pieces of a path in space. A closed one begins within its first line or arc, so that no corner of it is at its ends.
 *
 * @param place where a place of its plane is in space.
 */
export function piecesOfRun(
  { curves, closed }: Run,
  place: (at: Point) => Vec3,
): Result<PathPiece[], StepFault> {
  if (curves.some(({ kind }) => kind === 'ellipse')) return no({ code: 'path.ellipse' });
  const halved = closed ? begunWithin(curves) : curves;
  return ok(
    halved.map((curve): PathPiece => {
      switch (curve.kind) {
        case 'line':
          return { kind: 'line', from: place(curve.from), to: place(curve.to) };
        case 'arc':
          return { kind: 'arc', from: place(curve.from), via: place(curve.via), to: place(curve.to) };
        case 'spline':
          return { kind: 'smooth', points: curve.points.map(place), closed: curve.closed === true };
        default:
          throw new Error(`no piece of a path: ${curve.kind}`);
      }
    }),
  );
}

/** A closed run from the middle of its first line or arc on; a circle in two halves; a smooth curve alone as it is. */
function begunWithin(curves: readonly Curve[]): readonly Curve[] {
  const at = curves.findIndex(({ kind }) => kind !== 'spline');
  if (at < 0) return curves;
  const first = curves[at]!;
  const others = [...curves.slice(at + 1), ...curves.slice(0, at)];
  const [before, after] = halvesOfCurve(first);
  return [after, ...others, before];
}

function halvesOfCurve(curve: Curve): [Curve, Curve] {
  const { role } = curve;
  switch (curve.kind) {
    case 'line': {
      const { from, to } = curve;
      const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
      return [
        { kind: 'line', from, to: middle, role },
        { kind: 'line', from: middle, to, role },
      ];
    }
    case 'arc': {
      const { from, to } = curve;
      const at = alongArc(curve);
      return [
        { kind: 'arc', from, via: at(0.25), to: at(0.5), role },
        { kind: 'arc', from: at(0.5), via: at(0.75), to, role },
      ];
    }
    case 'circle': {
      const { middle, radius } = curve;
      const at = (x: number, y: number): Point => [middle[0] + radius * x, middle[1] + radius * y];
      return [
        { kind: 'arc', from: at(-1, 0), via: at(0, -1), to: at(1, 0), role },
        { kind: 'arc', from: at(1, 0), via: at(0, 1), to: at(-1, 0), role },
      ];
    }
    default:
      throw new Error(`no halves of a ${curve.kind}`);
  }
}

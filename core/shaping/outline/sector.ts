import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';

import type { Curve, Loop, Point } from './curves';

/** Inner diameters below this are none, mm: the outline comes to a point. */
const POINT_BELOW_MM = 0.01;

/** Part of a ring about the origin, its middle line along x. Roles: outer, inner, start, end. @param angle radians. */
export function sectorLoop(inner: NamedLength, outer: NamedLength, angle: number): Result<Loop, StepFault> {
  if (inner.mm < 0) return no({ code: 'value.outOfRange', length: inner, minMm: 0, maxMm: 1000 });
  if (inner.mm >= outer.mm) return no({ code: 'outline.noRing', inner, outerMm: outer.mm });
  const at = (radius: number, turn: number): Point => [radius * Math.cos(turn), radius * Math.sin(turn)];
  const [r, R, half] = [inner.mm / 2, outer.mm / 2, angle / 2];
  const loop: Curve[] = [{ kind: 'arc', from: at(R, -half), via: at(R, 0), to: at(R, half), role: 'outer' }];
  if (inner.mm < POINT_BELOW_MM) {
    loop.push(
      { kind: 'line', from: at(R, half), to: [0, 0], role: 'end' },
      { kind: 'line', from: [0, 0], to: at(R, -half), role: 'start' },
    );
  } else {
    loop.push(
      { kind: 'line', from: at(R, half), to: at(r, half), role: 'end' },
      { kind: 'arc', from: at(r, half), via: at(r, 0), to: at(r, -half), role: 'inner' },
      { kind: 'line', from: at(r, -half), to: at(R, -half), role: 'start' },
    );
  }
  return ok(loop);
}

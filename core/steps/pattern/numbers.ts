import { ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { layoutPlaces, resolveAll, resolveEach, resolvePosition } from '@core/part';

/** Where copies go: in steps of one way, along or at points, or round an axis. */
export type PatternLengths =
  | { by: 'row' | 'grid'; dx: NamedLength; dy: NamedLength; dz: NamedLength | undefined }
  | { by: 'path' | 'points'; points: { x: NamedLength; y: NamedLength }[] }
  | { by: 'round'; x: NamedLength | undefined; y: NamedLength | undefined };

/** Its lengths, mm, or what is wrong with the first. */
export function resolve(
  { pattern }: SettledStepOf<'pattern'>,
  numbers: EvaluatedRepair,
): Result<PatternLengths, StepFault> {
  switch (pattern.by) {
    case 'row':
    case 'grid':
      return resolveAll({
        by: ok(pattern.by),
        dx: resolvePosition(pattern.dx, 'way to the right', numbers),
        dy: resolvePosition(pattern.dy, 'way to the back', numbers),
        dz: 'dz' in pattern && pattern.dz ? resolvePosition(pattern.dz, 'way up', numbers) : undefined,
      });
    case 'path':
    case 'points':
      return resolveAll({
        by: ok(pattern.by),
        points: resolveEach(pattern.points, ({ x, y }, index) =>
          resolveAll({
            x: resolvePosition(x, `point ${index + 1} to the right`, numbers),
            y: resolvePosition(y, `point ${index + 1} to the back`, numbers),
          }),
        ),
      });
    case 'round':
      return resolveAll({
        by: ok(pattern.by),
        // About the axle line, unless both are given.
        x: pattern.x && pattern.y && resolvePosition(pattern.x, 'axis to the right', numbers),
        y: pattern.x && pattern.y && resolvePosition(pattern.y, 'axis to the back', numbers),
      });
    case 'layout':
      return resolveAll({ by: ok('points' as const), points: layoutPlaces(pattern.id, 'places', numbers) });
  }
}

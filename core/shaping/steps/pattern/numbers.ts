import { ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { layoutPlaces, resolveAll, resolveEach, resolvePosition } from '@core/shaping/part';

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
        dx: resolvePosition(pattern.dx, 'wayRight', numbers),
        dy: resolvePosition(pattern.dy, 'wayBack', numbers),
        dz: 'dz' in pattern && pattern.dz ? resolvePosition(pattern.dz, 'wayUp', numbers) : undefined,
      });
    case 'path':
    case 'points':
      return resolveAll({
        by: ok(pattern.by),
        points: resolveEach(pattern.points, ({ x, y }, index) =>
          resolveAll({
            x: resolvePosition(x, `pointRight ${index + 1}`, numbers),
            y: resolvePosition(y, `pointBack ${index + 1}`, numbers),
          }),
        ),
      });
    case 'round':
      return resolveAll({
        by: ok(pattern.by),
        // About the axle line, unless both are given.
        x: pattern.x && pattern.y && resolvePosition(pattern.x, 'axisRight', numbers),
        y: pattern.x && pattern.y && resolvePosition(pattern.y, 'axisBack', numbers),
      });
    case 'layout':
      return resolveAll({ by: ok('points' as const), points: layoutPlaces(pattern.id, 'places', numbers) });
  }
}

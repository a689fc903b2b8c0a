import type { StepFault } from '@core/foundations/fault';
import { factsOf, stepTakesAway, type SettledStep } from '@core/record/model';
import type { SolidCheck } from '@core/shaping/part';
import type { StepNumbers, VolumeBound } from '@core/shaping/forming';
import { solidOf } from '@core/shaping/steps/solids';

/** Whether the triangles of a part with such a step have to be looked at as well. */
export const isRisky = (step: SettledStep): boolean =>
  factsOf(step).risky?.(step) === true || ('tilt' in step && step.tilt !== undefined);

/** Relative change of volume below which a step is taken to have done nothing. */
const NO_CHANGE = 1e-9;

/** What a step may do to the volume; of those that can do either, what this one says. */
export function boundOf(step: SettledStep, earlier: ReadonlyMap<string, StepNumbers>): VolumeBound {
  const { bound } = solidOf(step.kind);
  if (bound === undefined) return stepTakesAway(step) ? 'cuts' : 'adds';
  return typeof bound === 'function' ? bound(step, earlier) : bound;
}

/** Holds what a step gave against what such a step can do. */
export function findFault(
  check: SolidCheck,
  before: SolidCheck | null,
  bound: VolumeBound,
): StepFault | null {
  if (check.pieces === 0 || !(check.volumeMm3 > 0)) return { code: 'step.nothingLeft' };
  if (!check.valid) return { code: 'step.notValid', reason: 'crossesItself' };
  if (!check.closed) return { code: 'step.notValid', reason: 'notClosed' };
  if (!before) return null;
  const grown = (check.volumeMm3 - before.volumeMm3) / before.volumeMm3;
  if (bound !== 'dresses' && Math.abs(grown) < NO_CHANGE) return { code: 'step.changesNothing' };
  if ((bound === 'adds' && grown < 0) || (bound === 'cuts' && grown > 0)) {
    return { code: 'step.notValid', reason: grown < 0 ? 'volumeDown' : 'volumeUp' };
  }
  return null;
}

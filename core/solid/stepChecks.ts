import type { StepFault } from '@core/fault';
import { effectOf, repeatedBy, takesAway, type Step, type StepKind } from '@core/model';
import type { SolidCheck } from '@core/part';
import type { StepNumbers, StepType } from '@core/shaping';

/** Kinds of steps after which the kernel may call a solid sound whose triangles do not close (kernel-notes). */
const RISKY: ReadonlySet<StepKind> = new Set([
  'round',
  'hollow',
  'taper',
  'faces',
  'blend',
  'run',
  'spin',
  'body',
]);

/** Outlines that bend other than round. */
const BENT: ReadonlySet<string> = new Set(['gear', 'points', 'ellipse']);

/** Whether the triangles of a part with such a step have to be looked at as well. */
export const isRisky = (step: Step): boolean =>
  RISKY.has(step.kind) ||
  (step.kind === 'stations' && step.section !== undefined) ||
  (step.kind === 'raise' && (step.taper !== undefined || BENT.has(step.outline.shape))) ||
  ('tilt' in step && step.tilt !== undefined);

/** Relative change of volume below which a step is taken to have done nothing. */
const NO_CHANGE = 1e-9;

/** What a step may do to the volume; of those that can do either, what this one says. */
export function boundOf(
  step: Step,
  kind: StepType<StepKind>['effect'],
  earlier: ReadonlyMap<string, StepNumbers>,
): StepType<StepKind>['effect'] {
  if (kind !== 'any') return kind;
  if (step.kind === 'repeat') {
    const cuts = repeatedBy(step).map((id) => earlier.get(id)?.cuts === true);
    if (cuts.every((one) => one === cuts[0])) return cuts[0] ? 'cuts' : 'adds';
    return 'dresses';
  }
  return takesAway(effectOf(step)) ? 'cuts' : 'adds';
}

/** Holds what a step gave against what such a step can do. */
export function findFault(
  check: SolidCheck,
  before: SolidCheck | null,
  effect: StepType<StepKind>['effect'],
): StepFault | null {
  if (check.pieces === 0 || !(check.volumeMm3 > 0)) return { code: 'step.nothingLeft' };
  if (!check.valid) return { code: 'step.notValid', reason: 'the solid crosses itself' };
  if (!check.closed) return { code: 'step.notValid', reason: 'the solid is not closed' };
  if (!before) return null;
  const grown = (check.volumeMm3 - before.volumeMm3) / before.volumeMm3;
  if (effect !== 'dresses' && Math.abs(grown) < NO_CHANGE) return { code: 'step.changesNothing' };
  if ((effect === 'adds' && grown < 0) || (effect === 'cuts' && grown > 0)) {
    return { code: 'step.notValid', reason: `the volume went ${grown < 0 ? 'down' : 'up'}` };
  }
  return null;
}

import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, steps, lastOf }: FirstValues): StepOf<'draft'> {
  return {
    id,
    kind: 'draft',
    of: lastOf('extrude', 'plate') ?? steps.at(-1)?.id ?? id,
    angle: Math.PI / 60,
    held: 'bottom',
  };
}

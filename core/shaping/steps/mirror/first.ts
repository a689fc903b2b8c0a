import { canBeMirrored, stepTakesAway, type StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one: of what was cut last, since the mirror image of the whole part would fill it; otherwise of the whole part. */
export function first({ id, steps }: FirstValues): StepOf<'mirror'> {
  const last = steps.at(-1);
  const isCut = last !== undefined && canBeMirrored(last) && stepTakesAway(last);
  return { id, kind: 'mirror', across: 'sides', keep: 'both', ...(isCut ? { of: [last.id] } : {}) };
}

import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id }: FirstValues): StepOf<'mirror'> {
  return { id, kind: 'mirror', across: 'sides', keep: 'both' };
}

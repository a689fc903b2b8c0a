import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id }: FirstValues): StepOf<'offset'> {
  return { id, kind: 'offset', of: 'all', by: numberValue(-0.1) };
}

import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id }: FirstValues): StepOf<'split'> {
  return { id, kind: 'split', axis: 'z', at: numberValue(1), keep: 'low', gap: numberValue(10) };
}

import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, later }: FirstValues): StepOf<'plate'> {
  return {
    id,
    kind: 'plate',
    length: guess.size('length', 40),
    breadth: guess.size('width', 20),
    thickness: guess.size('width', 3),
    cornerRadius: numberValue(2),
    ...later,
  };
}

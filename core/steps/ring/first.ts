import { type StepOf, numberValue } from '@core/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'ring'> {
  return {
    id,
    kind: 'ring',
    effect: 'add',
    across: guess.size('across', 20),
    thick: numberValue(3),
    up: numberValue(0),
    on,
    ...middle,
  };
}

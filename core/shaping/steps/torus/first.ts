import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'torus'> {
  return {
    id,
    kind: 'torus',
    effect: 'add',
    across: guess.size('across', 20),
    thick: numberValue(3),
    up: numberValue(0),
    on,
    ...middle,
  };
}

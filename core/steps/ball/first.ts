import { type StepOf, numberValue } from '@core/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'ball'> {
  return {
    id,
    kind: 'ball',
    effect: 'add',
    diameter: guess.size('across', 10),
    up: numberValue(0),
    on,
    ...middle,
  };
}

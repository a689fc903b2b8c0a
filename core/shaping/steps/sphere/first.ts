import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'sphere'> {
  return {
    id,
    kind: 'sphere',
    effect: 'add',
    diameter: guess.size('across', 10),
    up: numberValue(0),
    on,
    ...middle,
  };
}

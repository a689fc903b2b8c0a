import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'cone'> {
  return {
    id,
    kind: 'cone',
    effect: 'add',
    lower: guess.size('across', 10),
    upper: numberValue(5),
    height: guess.size('width', 5),
    on,
    ...middle,
  };
}

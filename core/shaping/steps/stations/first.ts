import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'stations'> {
  return {
    id,
    kind: 'stations',
    effect: 'add',
    rows: [
      { at: numberValue(0), diameter: guess.size('across', 20) },
      { at: numberValue(20), diameter: guess.size('across', 24) },
      { at: numberValue(40), diameter: guess.size('across', 16) },
    ],
    between: 'smooth',
    on,
    ...middle,
  };
}

import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'wedge'> {
  return {
    id,
    kind: 'wedge',
    effect: 'add',
    length: guess.size('length', 20),
    breadth: guess.size('width', 10),
    low: numberValue(0),
    high: numberValue(5),
    turn: 0,
    on,
    ...middle,
  };
}

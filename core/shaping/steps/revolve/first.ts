import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'revolve'> {
  return {
    id,
    kind: 'revolve',
    effect: 'add',
    outline: {
      shape: 'rectangle',
      length: numberValue(4),
      breadth: numberValue(6),
      cornerRadius: numberValue(0),
    },
    away: guess.size('across', 15),
    up: numberValue(3),
    angle: Math.PI,
    turn: 0,
    on,
    ...middle,
  };
}

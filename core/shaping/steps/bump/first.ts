import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, on, middle }: FirstValues): StepOf<'bump'> {
  return {
    id,
    kind: 'bump',
    effect: 'add',
    breadth: numberValue(6),
    bump: numberValue(0.8),
    play: numberValue(0.2),
    turn: 0,
    on,
    ...middle,
  };
}

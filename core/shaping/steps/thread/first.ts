import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, steps, on, middle }: FirstValues): StepOf<'thread'> {
  return {
    id,
    kind: 'thread',
    side: steps.length === 0 ? 'outside' : 'inside',
    size: 'M8',
    length: steps.length === 0 ? guess.size('length', 12) : 'through',
    play: numberValue(0.1),
    made: 'modelled',
    on,
    ...middle,
  };
}

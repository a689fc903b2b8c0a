import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, steps, on, middle }: FirstValues): StepOf<'extrude'> {
  return {
    id,
    kind: 'extrude',
    effect: steps.length === 0 ? 'add' : 'cut',
    outline: { shape: 'circle', diameter: guess.size('across', 10) },
    turn: 0,
    height: steps.length === 0 ? guess.size('width', 5) : 'through',
    on,
    ...middle,
  };
}

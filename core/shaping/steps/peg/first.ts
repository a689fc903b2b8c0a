import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, middle }: FirstValues): StepOf<'peg'> {
  return { id, kind: 'peg', diameter: guess.size('across', 10), height: guess.size('width', 5), ...middle };
}

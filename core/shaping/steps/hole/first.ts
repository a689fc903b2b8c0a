import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, middle }: FirstValues): StepOf<'hole'> {
  return { id, kind: 'hole', diameter: guess.fit(5), depth: 'through', ...middle };
}

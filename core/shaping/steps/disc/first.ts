import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, later }: FirstValues): StepOf<'disc'> {
  return { id, kind: 'disc', diameter: guess.size('across', 30), width: guess.size('width', 10), ...later };
}

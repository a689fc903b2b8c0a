import type { StepOf } from '@core/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess }: FirstValues): StepOf<'hollow'> {
  return { id, kind: 'hollow', wall: guess.named(/wall/i, 2), open: 'top' };
}

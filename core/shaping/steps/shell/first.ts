import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess }: FirstValues): StepOf<'shell'> {
  return { id, kind: 'shell', wall: guess.named(/wall/i, 2), open: 'top' };
}

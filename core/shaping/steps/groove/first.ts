import type { StepOf } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, lastOf }: FirstValues): StepOf<'groove'> {
  return {
    id,
    kind: 'groove',
    rimOf: lastOf('disc') ?? '',
    width: guess.named(/groove.*(width|wide)/i, 3),
    depth: guess.named(/groove.*(depth|deep)/i, 2),
  };
}

import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, on, middle, nextRevision }: FirstValues): StepOf<'text'> {
  return {
    id,
    kind: 'text',
    effect: 'add',
    text: nextRevision,
    height: numberValue(5),
    depth: numberValue(0.6),
    turn: 0,
    on,
    ...middle,
  };
}

import { type StepOf, numberValue } from '@core/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, steps, lastOf }: FirstValues): StepOf<'repeat'> {
  return {
    id,
    kind: 'repeat',
    of: lastOf('drill', 'raise', 'peg', 'cone', 'ball', 'ring') ?? steps.at(-1)?.id ?? id,
    pattern: { by: 'row', count: 2, dx: numberValue(10), dy: numberValue(0) },
  };
}

import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, steps, lastOf }: FirstValues): StepOf<'pattern'> {
  return {
    id,
    kind: 'pattern',
    of: lastOf('hole', 'extrude', 'peg', 'cone', 'sphere', 'torus') ?? steps.at(-1)?.id ?? id,
    pattern: { by: 'row', count: 2, dx: numberValue(10), dy: numberValue(0) },
  };
}

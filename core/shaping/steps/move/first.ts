import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id }: FirstValues): StepOf<'move'> {
  return {
    id,
    kind: 'move',
    dx: numberValue(10),
    dy: numberValue(0),
    dz: numberValue(0),
    axis: 'z',
    turn: 0,
    scale: 1,
  };
}

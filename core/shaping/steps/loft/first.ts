import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'loft'> {
  const section = (diameter: number, at: number) => ({
    outline: { shape: 'circle' as const, diameter: guess.size('across', diameter) },
    at: numberValue(at),
    x: numberValue(0),
    y: numberValue(0),
    turn: 0,
  });
  return {
    id,
    kind: 'loft',
    effect: 'add',
    sections: [section(20, 0), section(12, 20)],
    between: 'straight',
    on,
    ...middle,
  };
}

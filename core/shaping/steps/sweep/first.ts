import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, guess, on, middle }: FirstValues): StepOf<'sweep'> {
  const point = (x: number, y: number, up: number) => ({
    x: numberValue(x),
    y: numberValue(y),
    up: numberValue(up),
  });
  return {
    id,
    kind: 'sweep',
    effect: 'add',
    outline: { shape: 'circle', diameter: guess.size('across', 5) },
    path: [point(0, 0, 0), point(0, 0, 20), point(40, 0, 20), point(40, 0, 0)],
    bend: numberValue(6),
    along: 'straight',
    closed: false,
    on,
    ...middle,
  };
}

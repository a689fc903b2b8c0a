import { type StepOf, numberValue } from '@core/record/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, state, body }: FirstValues): StepOf<'body'> {
  const others = state.bodies.filter((other) => !other.removed && other.id !== body.id);
  const of = others.find(({ role }) => role === 'counterpart') ?? others[0];
  return { id, kind: 'body', of: of?.id ?? id, effect: 'cut', grow: numberValue(0.2), wayIn: 'top' };
}

import type { StepKind } from '@core/model';

import type { StepType } from '../stepKind';
import { drill } from './drill';
import { ease, round } from './dress';
import { groove } from './groove';
import { peg } from './peg';
import { plate } from './plate';
import { raise } from './raise';
import { ball, cone, ring } from './rounds';
import { turn } from './turn';

const STEP_TYPES: { [K in StepKind]: StepType<K> } = {
  turn,
  plate,
  peg,
  raise,
  cone,
  ball,
  ring,
  groove,
  drill,
  ease,
  round,
};

/** What is known about the kind of a step. */
export function stepTypeOf<K extends StepKind>(kind: K): StepType<K> {
  return STEP_TYPES[kind] as unknown as StepType<K>;
}

import type { NamedLength, Result, StepFault } from '@core/fault';
import type { Step, StepKind } from '@core/model';

import type { StepInput, StepType } from '../stepKind';
import type { TaggedSolid } from '../tagged';
import { drill } from './drill';
import { ease, round } from './dress';
import { groove } from './groove';
import { hollow } from './hollow';
import { peg } from './peg';
import { plate } from './plate';
import { applied, effectOfStep } from './effect';
import { raise } from './raise';
import { mirror, repeat } from './repeat';
import { ball, cone, ring } from './rounds';
import { stations } from './stations';
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
  stations,
  repeat,
  mirror,
  hollow,
  ease,
  round,
};

/** What is known about the kind of a step. */
export function stepTypeOf<K extends StepKind>(kind: K): StepType<K> {
  return STEP_TYPES[kind] as unknown as StepType<K>;
}

/** What a step is called when there is nothing yet for it to work on. */
const VERBS: Partial<Record<StepKind, string>> = { drill: 'Drill', groove: 'Cut', peg: 'Raise' };

/** The solid after a step. */
export function buildStep(
  step: Step,
  lengths: Record<string, NamedLength>,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  const type = stepTypeOf(step.kind);
  if (!type.tool) return type.build!(step as never, lengths, input);
  const tool = type.tool(step as never, lengths, input);
  return tool.ok
    ? applied(effectOfStep(step), input.before, tool.value, VERBS[step.kind] ?? 'Cut out')
    : tool;
}

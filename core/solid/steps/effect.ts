import { no, ok, type Result, type StepFault } from '@core/fault';
import type { Effect, Step } from '@core/model';

import { boolean } from '../operations';
import type { TaggedSolid } from '../tagged';
import { cutFrom, joinTo } from './joinTo';

/** What a step does with the solid it makes. */
export function effectOfStep(step: Step): Effect {
  if ('effect' in step) return step.effect;
  if (step.kind === 'thread') return step.side === 'inside' ? 'cut' : 'add';
  return step.kind === 'drill' || step.kind === 'groove' ? 'cut' : 'add';
}

/** Does with a fresh solid what the step says. Takes over `tool`. @param verb for the sentence when nothing is there. */
export function applied(
  effect: Effect,
  before: TaggedSolid | null,
  tool: TaggedSolid,
  verb: string,
): Result<TaggedSolid, StepFault> {
  if (effect === 'add') return ok(joinTo(before, tool));
  if (!before) {
    tool.dispose();
    return no({ code: 'step.firstMustAdd', verb });
  }
  if (effect === 'cut') return ok(cutFrom(before, tool));
  const kept = boolean('common', before, tool);
  tool.dispose();
  return ok(kept);
}

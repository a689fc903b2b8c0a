import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { compoundOf, boolean, distanceBetween, type TaggedSolid } from '@core/shaping/kernel';
import type { Effect } from '@core/record/model';

import { cutFrom, joinTo } from './joinTo';

/** Pieces that are nearer than this touch, mm. */
const APART_MM = 1e-4;

/** Does with a fresh solid what the step says. Takes over `tool`. @param verb for the sentence when nothing is there. */
export function applied(
  effect: Effect,
  before: TaggedSolid | null,
  tool: TaggedSolid,
  verb: string,
  merge: boolean,
): Result<TaggedSolid, StepFault> {
  if (effect === 'add' || (effect === 'apart' && !before)) return ok(joinTo(before, tool, merge));
  if (!before) {
    tool.dispose();
    return no({ code: 'step.firstMustAdd', verb });
  }
  if (effect === 'cut') return ok(cutFrom(before, tool));
  if (effect === 'apart') {
    const isApart = distanceBetween(before.kernel, before.shape, tool.shape) > APART_MM;
    if (isApart) return ok(compoundOf(before.kernel, [before.copied(), tool]));
    tool.dispose();
    return no({ code: 'apart.touches' });
  }
  const kept = boolean('common', before, tool);
  tool.dispose();
  return ok(kept);
}

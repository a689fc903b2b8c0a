import { no, ok, type NamedLength, type StepFault, type Result } from '@core/fault';
import type { EdgeRule, StepOf } from '@core/model';

import { guarded, KernelRefusal, type Shape } from '../kernel';
import { dressEdges } from '../operations';
import { resolveAll, resolveLength } from '../resolve';
import { scoped, type Scope } from '../scope';
import type { StepInput, StepNumbers, StepType } from '../stepKind';
import { edgesWhere, faceTag, stepOfTag, type FaceTag, type TaggedSolid } from '../tagged';

/** Flat 45° ease (chamfer). Its faces: flat. */
export const ease: StepType<'ease'> = {
  kind: 'ease',
  effect: 'dresses',
  resolve: (step, numbers) => resolveAll({ size: resolveLength(step.size, 'ease', numbers) }),
  build: (step, { size }, input) => build(step, size!, input),
  annotate: () => ({ annotations: [], centreLines: [] }),
};

/** Round (fillet). Its faces: round. */
export const round: StepType<'round'> = {
  kind: 'round',
  effect: 'dresses',
  resolve: (step, numbers) => resolveAll({ size: resolveLength(step.size, 'round', numbers) }),
  build: (step, { size }, input) => build(step, size!, input),
  annotate: () => ({ annotations: [], centreLines: [] }),
};

function build(
  step: StepOf<'ease'> | StepOf<'round'>,
  size: NamedLength,
  { kernel, before, earlier }: StepInput,
): Result<TaggedSolid, StepFault> {
  const { kind } = step;
  const verb = kind === 'ease' ? 'Ease' : 'Round';
  if (!before) return no({ code: 'step.firstMustAdd', verb });
  return scoped((scope) => {
    const edges = edgesOfRule(scope, before, step.where, earlier);
    if (edges.length === 0)
      return no({ code: 'step.pickLost', lookingFor: describeRule(step.where, earlier) });
    try {
      const tag = faceTag(step.id, kind === 'ease' ? 'flat' : 'round');
      return ok(guarded(kernel, () => dressEdges(kind, before, edges, size.mm, tag)));
    } catch (error) {
      // The kernel's refusal of a round or an ease has one cause here: there is no room for it.
      if (error instanceof KernelRefusal) return no({ code: 'ease.tooLarge', size, verb });
      throw error;
    }
  });
}

/** Edges that a rule catches on a solid. */
export function edgesOfRule(
  scope: Scope,
  solid: TaggedSolid,
  rule: EdgeRule,
  earlier: ReadonlyMap<string, StepNumbers>,
): Shape[] {
  const of = earlier.get(rule.of);
  if (!of) return [];
  if (rule.edges === 'mouths') {
    const wall = faceTag(rule.of, 'wall');
    return edgesWhere(scope, solid, (tag, other) => tag === wall && stepOfTag(other) !== rule.of);
  }
  const caps = [faceTag(rule.of, 'top'), faceTag(rule.of, 'bottom')];
  const isSide = (tag: FaceTag) => stepOfTag(tag) === rule.of && !caps.includes(tag);
  if (rule.edges === 'upright') return edgesWhere(scope, solid, (tag, other) => isSide(tag) && isSide(other));
  // A cut has lost the cap that lay outside: there its sides meet whatever was there before.
  return edgesWhere(
    scope,
    solid,
    (tag, other) => isSide(tag) && (caps.includes(other) || (of.cuts && stepOfTag(other) !== rule.of)),
  );
}

const RULE_WORDS: Record<EdgeRule['edges'], string> = {
  mouths: 'the mouths of a hole',
  rims: 'the outer edges',
  upright: 'the upright edges',
};

function describeRule(rule: EdgeRule, earlier: ReadonlyMap<string, StepNumbers>): string {
  const gone = earlier.has(rule.of) ? '' : ' of a step that is no longer before this one';
  return RULE_WORDS[rule.edges] + gone;
}

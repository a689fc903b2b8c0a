import { no, ok, type NamedLength, type StepFault, type Result } from '@core/fault';
import type { StepOf } from '@core/model';

import { edgesOfRule } from '../edgeRules';
import { guarded, KernelRefusal, type Shape } from '../kernel';
import { dressEdges } from '../operations';
import { resolveAll, resolveLength } from '../resolve';
import { scoped } from '../scope';
import type { StepInput, StepType } from '../stepKind';
import { faceTag, type TaggedSolid } from '../tagged';
import { facesByEdge } from '../topology';

/** Flat ease (chamfer). Its faces: flat. */
export const ease: StepType<'ease'> = {
  kind: 'ease',
  effect: 'dresses',
  resolve: (step, numbers) => {
    const size = resolveLength(step.size, 'ease', numbers);
    return step.other && 'length' in step.other
      ? resolveAll({ size, other: resolveLength(step.other.length, 'other length', numbers) })
      : resolveAll({ size });
  },
  build: (step, { size, other }, input) => {
    const angle = step.other && 'angle' in step.other ? step.other.angle : null;
    return build(step, size!, input, other?.mm ?? (angle === null ? null : size!.mm * Math.tan(angle)));
  },
  annotate: () => ({ annotations: [], centreLines: [] }),
};

/** Round (fillet). Its faces: round. */
export const round: StepType<'round'> = {
  kind: 'round',
  effect: 'dresses',
  resolve: (step, numbers) => resolveAll({ size: resolveLength(step.size, 'round', numbers) }),
  build: (step, { size }, input) => build(step, size!, input, null),
  annotate: () => ({ annotations: [], centreLines: [] }),
};

/** @param otherMm of an ease: its length on the second face of each edge; null for the same on both. */
function build(
  step: StepOf<'ease'> | StepOf<'round'>,
  size: NamedLength,
  { kernel, before, earlier }: StepInput,
  otherMm: number | null,
): Result<TaggedSolid, StepFault> {
  const { kind } = step;
  const verb = kind === 'ease' ? 'Ease' : 'Round';
  if (!before) return no({ code: 'step.firstMustAdd', verb });
  return scoped((scope) => {
    const edges = edgesOfRule(scope, before, step.where, earlier);
    if (!edges.ok) return edges;
    const faces = otherMm === null ? null : facesByEdge(kernel, scope, before.shape);
    const tags = before.tagMap();
    // The first face is the one whose origin comes first by name: the same after every rebuild.
    const firstFaceOf = (edge: Shape): Shape =>
      [...faces!.get(edge)!].sort((a, b) => ((tags.get(a) ?? '') < (tags.get(b) ?? '') ? -1 : 1))[0]!;
    try {
      const tag = faceTag(step.id, kind === 'ease' ? 'flat' : 'round');
      const uneven = otherMm === null ? undefined : { otherMm, firstFaceOf };
      return ok(guarded(kernel, () => dressEdges(kind, before, edges.value, size.mm, tag, uneven)));
    } catch (error) {
      // The kernel's refusal of a round or an ease has one cause here: there is no room for it.
      if (error instanceof KernelRefusal) return no({ code: 'ease.tooLarge', size, verb });
      throw error;
    }
  });
}

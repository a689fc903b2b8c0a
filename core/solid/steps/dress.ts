import { no, ok, type NamedLength, type StepFault, type Result } from '@core/fault';
import type { StepOf } from '@core/model';

import { checkSolid } from '../check';
import { dressed, dressedInTurn, type Dressing } from '../dressing';
import { edgesOfRule } from '../edgeRules';
import { KernelRefusal } from '../kernel';
import { wordsOf } from '../picks';
import { resolveAll, resolveLength } from '../resolve';
import { scoped } from '../scope';
import type { StepInput, StepType } from '../stepKind';
import { faceTag, type TaggedSolid } from '../tagged';

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
  { before, earlier }: StepInput,
  otherMm: number | null,
): Result<TaggedSolid, StepFault> {
  const { kind } = step;
  const verb = kind === 'ease' ? 'Ease' : 'Round';
  if (!before) return no({ code: 'step.firstMustAdd', verb });
  const tag = faceTag(step.id, kind === 'ease' ? 'flat' : 'round');
  const dressing: Dressing = { kind, mm: size.mm, otherMm, tag };
  return scoped((scope) => {
    const edges = edgesOfRule(scope, before, step.where, earlier);
    if (!edges.ok) return edges;
    try {
      const made = dressed(before, edges.value, dressing);
      // What the kernel calls done may cross itself: then, too, there is no room for all of it at once.
      if (checkSolid(before.kernel, made.shape).valid) return ok(made);
      made.dispose();
    } catch (error) {
      // The kernel's refusal of a round or an ease has one cause here: there is no room for it.
      if (!(error instanceof KernelRefusal)) throw error;
    }
    const inTurn = dressedInTurn(before, edges.value, dressing);
    if (!('stuckAt' in inTurn)) return ok(inTurn);
    const [first, second] = inTurn.stuckAt.map((one) => wordsOf(one, earlier));
    const at = `where ${first} meets ${second}`;
    return no({ code: 'ease.tooLarge', size, verb, mostMm: inTurn.mostMm, at });
  });
}

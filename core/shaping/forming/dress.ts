import { no, ok, type NamedLength, type StepFault, type Result } from '@core/foundations/fault';
import {
  checkSolid,
  type Shape,
  scoped,
  type Scope,
  type TaggedSolid,
  facesByEdge,
} from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { faceTag, stepOfTag, KernelRefusal } from '@core/shaping/part';
import type { LengthsOf } from '@core/shaping/steps/kinds';

import { dressed, dressedInTurn, type Dressing } from './dressing';
import { edgesOfRule } from './edgeRules';
import { copiesLeftOut, namedFace } from './picks';
import type { BuiltStep, StepInput } from './stepKind';

/** The length of an ease on the second face of each edge; null where both are alike. */
export function otherOf(
  { other: how }: SettledStepOf<'chamfer'>,
  { size, other }: LengthsOf<'chamfer'>,
): number | null {
  const angle = how && 'angle' in how ? how.angle : null;
  return other?.mm ?? (angle === null ? null : size.mm * Math.tan(angle));
}

/** A step that was built, done once more on edges that it has not worked on yet: those of copies that came since. */
export function dressedAgain(
  of: BuiltStep<'chamfer'> | BuiltStep<'fillet'>,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  const otherMm = of.kind === 'chamfer' ? otherOf(of.step, of.lengths) : null;
  return dressedStep(of.step, of.lengths.size, input, otherMm, true);
}

/** What is left of the face between the edges of a full round, half of it, mm: less than anybody sees or measures. */
const FULL_ROUND_MM = 1e-5;

/** @param otherMm of an ease: its length on the second face of each edge; null for the same on both. */
export function dressedStep(
  step: SettledStepOf<'chamfer'> | SettledStepOf<'fillet'>,
  size: NamedLength,
  { before, earlier, note }: StepInput,
  otherMm: number | null,
  again = false,
): Result<TaggedSolid, StepFault> {
  const { kind } = step;
  const verb = kind === 'chamfer' ? 'Ease' : 'Round';
  if (!before) return no({ code: 'step.firstMustAdd', verb });
  const tag = faceTag(step.id, kind === 'chamfer' ? 'flat' : 'round');
  const dressing: Dressing = { kind, mm: size.mm, otherMm, tag };
  return scoped((scope) => {
    const found = edgesOfRule(scope, before, step.where, earlier);
    if (!found.ok) return found;
    const edges = ok(again ? untouched(scope, before, found.value, step.id) : found.value);
    if (edges.value.length === 0) return no({ code: 'step.changesNothing' });
    if (step.where.edges === 'picked') {
      const left = copiesLeftOut(before, step.where.picks);
      if (left) note({ code: 'edges.copiesLeft', ...left });
    }
    // A full round leaves nothing between two edges, which the kernel refuses; but not a hair of it.
    for (const less of kind === 'fillet' ? [0, FULL_ROUND_MM] : [0]) {
      try {
        const made = dressed(before, edges.value, { ...dressing, mm: size.mm - less });
        // What the kernel calls done may cross itself: then, too, there is no room for all of it at once.
        if (checkSolid(made).valid) return ok(made);
        made.dispose();
      } catch (error) {
        // The kernel's refusal of a round or an ease has one cause here: there is no room for it.
        if (!(error instanceof KernelRefusal)) throw error;
      }
    }
    const inTurn = dressedInTurn(before, edges.value, dressing);
    if (!('stuckAt' in inTurn)) return ok(inTurn);
    const [first, second] = inTurn.stuckAt;
    const at = [namedFace(first, earlier), namedFace(second, earlier)] as const;
    return no({ code: 'chamfer.tooLarge', size, verb, mostMm: inTurn.mostMm, at });
  });
}

/** Edges at which no face lies that a step has made. */
function untouched(scope: Scope, solid: TaggedSolid, edges: readonly Shape[], stepId: string): Shape[] {
  const faces = facesByEdge(solid.kernel, scope, solid.shape);
  const all = solid.originMap();
  return edges.filter((edge) =>
    faces.get(edge)!.every((face) => !(all.get(face) ?? []).some((tag) => stepOfTag(tag) === stepId)),
  );
}

import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { mirrored, boolean, type TaggedSolid } from '@core/shaping/kernel';
import { effectOf, type EdgeRule, type SettledStepOf } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import {
  emptiedFaces,
  isOwnImage,
  type StepInput,
  type StepNumbers,
  type StepSolid,
  applied,
  dressedAgain,
} from '@core/shaping/forming';

type Across = SettledStepOf<'mirror'>['across'];

/** What is there, or what some steps did, mirrored: beside itself, or instead. Faces keep their names. */
export const solid: StepSolid<'mirror'> = {
  bound: 'dresses',
  merges: true,
  build(step, _lengths, input) {
    const { before } = input;
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Mirror' });
    if (step.of) return ofSteps(step, step.of, before, input);
    // What lies on its own image already is not joined with itself.
    if (step.keep === 'both' && isOwnImage(before, step.across)) return ok(before.copied());
    const other = mirrored(before, step.across);
    if (step.keep === 'other') return ok(other);
    const both = boolean('fuse', before, other, input.merge);
    other.dispose();
    // Half of a part has nothing on the other side to be filled; a whole one may.
    const filled = emptiedFaces(before, both, step.across, cuttersOf(input), (cutter) =>
      cutsAlike(cutter, step.across, input),
    );
    if (filled === null) return ok(both);
    both.dispose();
    return no({ code: 'mirror.fills', place: filled.place });
  },
  carries: ({ across, keep, of }) =>
    keep === 'both' || of
      ? null
      : {
          origin: [0, 0, 0],
          x: [across === 'sides' ? -1 : 1, 0, 0],
          y: [0, across === 'frontBack' ? -1 : 1, 0],
          z: [0, 0, across === 'upDown' ? -1 : 1],
        },
};

/** A hollow is alike where its outside is; of what it was made before it, nothing is known any more. */
function cutsAlike(cutter: StepNumbers, across: Across, input: StepInput): boolean {
  if (cutter.kind === 'shell') return true;
  const tool = input.toolOf(cutter);
  if (!tool?.ok) return false;
  const isAlike = isOwnImage(tool.value, across);
  tool.value.dispose();
  return isAlike;
}

const cuttersOf = ({ earlier }: StepInput): StepNumbers[] => [...earlier.values()].filter(({ cuts }) => cuts);

/** What each of some steps did, done once more on the other side, in the order of the recipe. */
function ofSteps(
  { across }: SettledStepOf<'mirror'>,
  ids: readonly string[],
  before: TaggedSolid,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  if (ids.some((id) => !input.earlier.has(id))) {
    return no({ code: 'step.pickLost', lookingFor: { is: 'stepItMirrors' } });
  }
  const inOrder = [...input.earlier.values()].filter(({ step }) => ids.includes(step.id));
  let now = before;
  for (const of of inOrder) {
    const next = mirroredStep(of, across, now, input);
    if (now !== before) now.dispose();
    if (!next.ok) return next;
    now = next.value;
  }
  return ok(now);
}

function mirroredStep(
  of: StepNumbers,
  across: Across,
  now: TaggedSolid,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  const { step } = of;
  if (of.kind === 'chamfer' || of.kind === 'fillet') {
    const there = { ...of.step, where: mirroredRule(of.step.where, across) };
    return dressedAgain({ ...of, step: there } as typeof of, { ...input, before: now });
  }
  const made = input.toolOf(of);
  if (!made) return no({ code: 'mirror.notPossible', place: of.place });
  if (!made.ok) return made;
  const tool = mirrored(made.value, across);
  made.value.dispose();
  return applied(effectOf(step), now, tool, 'Mirror', input.merge);
}

/** Picks are looked for on the other side; rules catch there what they caught here, since what is rounded here is no edge any more. */
function mirroredRule(rule: EdgeRule, across: Across): EdgeRule {
  const axis = { sides: 0, frontBack: 1, upDown: 2 }[across];
  const there = (near: Vec3) => near.map((mm, at) => (at === axis ? -mm : mm)) as [number, number, number];
  if (rule.edges === 'picked') {
    return { ...rule, picks: rule.picks.map((pick) => ({ ...pick, near: there(pick.near) })) };
  }
  return rule.edges === 'face' ? { ...rule, face: { ...rule.face, near: there(rule.face.near) } } : rule;
}

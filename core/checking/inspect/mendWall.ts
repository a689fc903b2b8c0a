import { effectOf, numberValue, takesAway, type Repair, type Step, type Value } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { anyCopy, roleOf, stepOfTag, type FaceTag } from '@core/shaping/part';

import { changedBy } from './changedValue';
import type { MendAct } from './mendAct';

/** A change to one step. */
export interface StepMend {
  act: MendAct;
  stepId: string;
  patch: Record<string, unknown>;
}

/** Ends of what a step makes. */
const CAPS = ['top', 'bottom', 'floor', 'point', 'mouth'];
/** Sides of what is round. */
const ROUND = ['wall', 'rim'];

/**
 * Ways to make a thin wall as thick as it has to be: by the wall that it was hollowed to, by the depth of what was cut
 * beside it, by the thickness of what it is, or by the diameter of what it is the outside of.
 *
 * @param faces those on both sides of it.
 */
export function wallMends(
  { mm, leastMm, faces }: { mm: number; leastMm: number; faces: readonly FaceTag[] },
  steps: readonly Step[],
  repair: Pick<Repair, 'sizes'>,
): StepMend[] {
  const by = Math.ceil(20 * (leastMm - mm)) / 20;
  const sides = faces.flatMap((tag) => {
    const index = steps.findIndex(({ id }) => id === stepOfTag(tag));
    return index < 0 ? [] : [{ step: steps[index]!, place: index + 1, role: anyCopy(roleOf(tag)) }];
  });
  const isOne = sides.length === 2 && sides[0]!.step === sides[1]!.step;
  const mends = sides.flatMap(({ step, place, role }): (StepMend | null)[] => {
    const changed = (field: string, value: Value, change: number, act: MendAct) => {
      const now = changedBy(value, change, repair);
      return now && { act, stepId: step.id, patch: { [field]: now } };
    };
    if (step.kind === 'shell') {
      const act: MendAct = { does: 'hollowTo', mm: leastMm };
      return [{ act, stepId: step.id, patch: { wall: numberValue(leastMm) } }];
    }
    const high = heightOf(step);
    if (high && CAPS.includes(role)) {
      if (takesAway(effectOf(step))) return [changed(...high, -by, { does: 'makeLessDeep', place, mm: by })];
      if (isOne) return [changed(...high, by, { does: 'makeThicker', place, mm: by })];
    }
    const across = acrossOf(step);
    if (across && ROUND.includes(role) && !takesAway(effectOf(step)) && !isOne) {
      const wider = roundTo(2 * by, 0.01);
      return [changed(...across, wider, { does: 'makeWider', place, mm: wider })];
    }
    return [];
  });
  const acts = new Set<string>();
  return mends.flatMap((mend) => {
    const key = JSON.stringify(mend?.act);
    if (!mend || acts.has(key)) return [];
    acts.add(key);
    return [mend];
  });
}

/** How high or deep a step is, as its field and number. */
function heightOf(step: Step): [string, Value] | null {
  const found: [string, unknown] | null =
    step.kind === 'plate'
      ? ['thickness', step.thickness]
      : step.kind === 'disc'
        ? ['width', step.width]
        : step.kind === 'hole'
          ? ['depth', step.depth]
          : step.kind === 'peg' || step.kind === 'extrude'
            ? ['height', step.height]
            : null;
  return found && found[1] !== 'through' ? (found as [string, Value]) : null;
}

function acrossOf(step: Step): [string, Value] | null {
  if (step.kind === 'disc' || step.kind === 'peg') return ['diameter', step.diameter];
  if (step.kind === 'extrude' && step.outline.shape === 'circle') {
    return ['outline.diameter', step.outline.diameter];
  }
  return null;
}

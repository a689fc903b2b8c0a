import type { EvaluatedRepair } from '@core/fitting/fit';
import { effectOf, takesAway, type Body, type Step, type Value } from '@core/record/model';
import { resolveValue } from '@core/shaping/part';

/** A step that stands out like a lever: it bends at its root. */
export interface Lever {
  stepId: string;
  /** Its smaller measure across, mm. */
  thickMm: number;
}

/** So many times as high as it is thick, and it is a lever. */
const SLENDER = 1.5;

/** The steps of a body that stand out so far for their thickness that a load on them is felt at the root. */
export function leversOf(body: Body, numbers: EvaluatedRepair): Lever[] {
  return body.steps.flatMap((step): Lever[] => {
    if (step.off || takesAway(effectOf(step))) return [];
    const found = measuresOf(step);
    if (!found) return [];
    const mm = (value: Value) => {
      const known = resolveValue(value, 'measure', numbers);
      return known.ok ? known.value.mm : NaN;
    };
    const [heightMm, thickMm] = [mm(found.height), Math.min(...found.across.map(mm))];
    return heightMm >= SLENDER * thickMm ? [{ stepId: step.id, thickMm }] : [];
  });
}

function measuresOf(step: Step): { height: Value; across: Value[] } | null {
  switch (step.kind) {
    case 'peg':
      return { height: step.height, across: [step.diameter] };
    case 'tongue':
      return { height: step.length, across: [step.thickness] };
    case 'extrude': {
      if (step.height === 'through' || step.upTo) return null;
      const { outline } = step;
      const across =
        outline.shape === 'circle'
          ? [outline.diameter]
          : outline.shape === 'polygon'
            ? [outline.across]
            : 'breadth' in outline
              ? [outline.length, outline.breadth]
              : null;
      return across && { height: step.height, across };
    }
    default:
      return null;
  }
}

import { nextLetter, type Body, type Step, type StepKind } from '@core/record/model';
import { withStepAfter } from '@core/shaping/recipe';
import { newStep } from '@core/shaping/steps';

import { useRepairContext } from '../../inRepair/useRepairContext';

/** How a body is with a new step of a kind: after some of its steps, or at its end. */
export function useNewStep(body: Body): (kind: StepKind, id: string, before?: readonly Step[]) => Body {
  const { repair, numbers } = useRepairContext();
  return (kind, id, before = body.steps) => {
    const context = {
      body: { ...body, steps: [...before] },
      state: repair,
      numbers,
      nextRevision: nextLetter(repair.revisions.map(({ letter }) => letter)),
    };
    const steps = withStepAfter(body.steps, before.at(-1)?.id ?? null, newStep(kind, context, id));
    return { ...body, steps };
  };
}

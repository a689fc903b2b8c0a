import type { RepairState, Value } from '@core/model';

/** A place in a recipe where a size or fit is used. */
export interface Use {
  bodyId: string;
  bodyName: string;
  stepIndex: number;
  stepId: string;
}

/** Every step whose numbers lead to a size or fit. A size used through a fit is found by the fit's id. */
export function usesOf(state: RepairState, from: 'size' | 'fit', id: string): Use[] {
  return state.bodies
    .filter((body) => !body.removed)
    .flatMap((body) =>
      body.steps.flatMap((step, stepIndex) =>
        Object.values(step).some(
          (value) => isValue(value) && value.from === from && 'id' in value && value.id === id,
        )
          ? [{ bodyId: body.id, bodyName: body.name, stepIndex, stepId: step.id }]
          : [],
      ),
    );
}

function isValue(value: unknown): value is Value {
  return typeof value === 'object' && value !== null && 'from' in value;
}

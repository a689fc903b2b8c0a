import { takenNumber, type EvaluatedRepair } from '@core/fitting/fit';
import {
  isTaken,
  numberValue,
  plainFieldsOf,
  withFreshIds,
  withValues,
  type Body,
  type OutlineShape,
  type Step,
  type Value,
} from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { layoutPlaces, resolveValue } from '@core/shaping/part';

import { withPatch } from './editSteps';

/**
 * Steps of one repair for use in another: under new ids, with plain numbers in place of sizes, fits, formulas and
 * layouts, which stay behind. What follows another body is let go where it is seen. What has no number there yet gets `MISSING_MM`, and its step a note that says so.
 *
 * @param numbers those of the repair they come from.
 */
export function liftedSteps(steps: readonly Step[], numbers: EvaluatedRepair, newId: () => string): Step[] {
  const plain = steps.map((written) => {
    let isMissing = false;
    const step = withoutTaken(written, numbers, () => (isMissing = true));
    const known = withValues(withoutLayouts(step, numbers), (value: Value) => {
      const found = resolveValue(value, 'number', numbers);
      if (!found.ok) isMissing = true;
      return numberValue(found.ok ? found.value.mm : MISSING_MM);
    });
    const free = withoutOtherBodies(known) as Step;
    if (isMissing) return { ...free, note: MISSING_NOTE };
    return JSON.stringify(free) === JSON.stringify(known) ? free : { ...free, note: LET_GO_NOTE };
  });
  return withFreshIds(plain, newId);
}

/** A body of another repair, as liftedSteps. */
export const liftedBody = (body: Body, numbers: EvaluatedRepair, newId: () => string): Body => ({
  ...body,
  id: newId(),
  version: 0,
  steps: liftedSteps(body.steps, numbers, newId),
});

/** Stands for a number that was not known where the step came from. */
export const MISSING_MM = 10;
const LET_GO_NOTE = 'Its drawing followed another body, which stayed behind. It is as it was drawn.';
const MISSING_NOTE = 'This number was not known in the repair it comes from. Type it.';

/** With its angles, counts and factors as numbers; one that is not known becomes the least that may stand there. */
function withoutTaken(step: Step, numbers: EvaluatedRepair, onMissing: () => void): Step {
  return plainFieldsOf(step).reduce<Step>((so, { path, value, quantity, least, most }) => {
    if (!isTaken(value)) return so;
    const found = takenNumber(value, quantity, numbers);
    const isKnown = found.ok && found.value >= least && found.value <= most;
    if (!isKnown) onMissing();
    return withPatch([so], step.id, { [path]: isKnown ? found.value : least })[0]!;
  }, step);
}

/** With the places of layouts written out as points. */
function withoutLayouts(step: Step, numbers: EvaluatedRepair): Step {
  if (step.kind === 'pattern' && step.pattern.by === 'layout') {
    const points = placesOf(step.pattern.id, numbers);
    return points.length > 0 ? { ...step, pattern: { by: 'points', points } } : step;
  }
  return withoutBands(step, numbers) as Step;
}

/** Bands round the points of a layout as bands round circles, wherever an outline stands in a step. */
function withoutBands(data: unknown, numbers: EvaluatedRepair): unknown {
  if (typeof data !== 'object' || data === null) return data;
  if (Array.isArray(data)) return data.map((one) => withoutBands(one, numbers));
  if ('shape' in data && data.shape === 'layoutHull') {
    const { layout, diameter } = data as Extract<OutlineShape, { shape: 'layoutHull' }>;
    const points = placesOf(layout, numbers);
    if (points.length < 2) return data;
    return { shape: 'hull', circles: points.map((point) => ({ ...point, diameter })) } satisfies OutlineShape;
  }
  return Object.fromEntries(Object.entries(data).map(([key, one]) => [key, withoutBands(one, numbers)]));
}

/** Drawings that follow another body let go of it, wherever they stand in a step. */
function withoutOtherBodies(data: unknown): unknown {
  if (typeof data !== 'object' || data === null) return data;
  if (Array.isArray(data)) return data.map(withoutOtherBodies);
  return Object.fromEntries(
    Object.entries(data).flatMap(([key, one]: [string, unknown]) =>
      key === 'follows' && (one as { body?: string }).body !== undefined
        ? []
        : [[key, withoutOtherBodies(one)]],
    ),
  );
}

function placesOf(layout: string, numbers: EvaluatedRepair): { x: Value; y: Value }[] {
  const places = layoutPlaces(layout, 'places', numbers);
  if (!places.ok) return [];
  return places.value.map(({ x, y }) => ({
    x: numberValue(roundTo(x.mm, 0.01)),
    y: numberValue(roundTo(y.mm, 0.01)),
  }));
}

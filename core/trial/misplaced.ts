import type { EvaluatedRepair } from '@core/fit';
import {
  placeOf,
  valuesIn,
  type Body,
  type Ground,
  type Place,
  type RepairState,
  type Step,
  type TrialResult,
} from '@core/model';
import { roundTo } from '@core/quantity';

/** The step that makes the place of a fit, and the body that it is in. */
export interface PlaceMaker {
  body: Body;
  step: Step;
  /** Place in the recipe, from 1. */
  number: number;
  on: Ground;
}

/** What a place that is off asks for: another number in its step, and what it was measured by that should be taken again. */
export interface NextPlace {
  maker: PlaceMaker;
  /** The body with the numbers changed that stand in the step itself; null where none does. */
  body: Body | null;
  /** mm, as they stand in the step. */
  changed: { way: Way; fromMm: number; toMm: number }[];
  /** Sizes that the place was taken from: what they would have to be, mm. */
  again: { way: Way; tag: string; name: string; fromMm: number; toMm: number }[];
  /** Layouts or formulas that it was taken from: by how much they are off, mm. */
  elsewhere: { way: Way; byMm: number }[];
}

/** To the right, or on the left and right sides to the back; to the back, or on upright ones up. */
export type Way = 'x' | 'y';

/**
 * The step that makes the place of a fit, where its ways have names: on a side of the part, not tilted, and not where an outline was taken from. Null where
 * no step or more than one takes the fit's working size.
 */
export function placeMakerOf(fitId: string, bodies: RepairState['bodies']): PlaceMaker | null {
  const makers = bodies.flatMap((body) =>
    body.removed || body.role !== 'spare'
      ? []
      : body.steps.flatMap((step, index): PlaceMaker[] => {
          const place = placeOf(step);
          const takes = valuesIn(step).some((value) => value.from === 'fit' && value.id === fitId);
          if (!place || !takes) return [];
          return [{ body, step, number: index + 1, on: place.on ?? 'top' }];
        }),
  );
  const [only] = makers;
  if (makers.length !== 1 || !only || typeof only.on === 'object') return null;
  const place = placeOf(only.step)!;
  const hasNames = place.tilt === undefined && place.xFrom !== 'there' && place.yFrom !== 'there';
  return hasNames ? only : null;
}

/** Numbers that are measured from the far edge run the other way. */
const signOf = (from: Place['xFrom']): 1 | -1 => (from === 'high' || from === 'highFlush' ? -1 : 1);

/** What would bring a place that was found off to where it should be. */
export function nextPlace(
  { fitId, misplaced }: Pick<TrialResult, 'fitId' | 'misplaced'>,
  bodies: RepairState['bodies'],
  numbers: EvaluatedRepair,
): NextPlace | null {
  const maker = misplaced && placeMakerOf(fitId, bodies);
  if (!maker) return null;
  const place = placeOf(maker.step)!;
  const next: NextPlace = { maker, body: null, changed: [], again: [], elsewhere: [] };
  let step: Step = maker.step;
  for (const way of ['x', 'y'] as const) {
    const mm =
      (way === 'x' ? misplaced.firstMm : misplaced.secondMm) *
      signOf(way === 'x' ? place.xFrom : place.yFrom);
    if (mm === 0) continue;
    const value = place[way];
    if (value.from === 'number') {
      const toMm = roundTo(value.mm + mm, 0.01);
      next.changed.push({ way, fromMm: value.mm, toMm });
      step = { ...step, [way]: { ...value, mm: toMm } } as Step;
      continue;
    }
    const size = value.from === 'size' ? numbers.sizes.get(value.id) : undefined;
    if (size?.worked.ok) {
      const fromMm = size.worked.trail.working;
      const { tag, name } = size.size;
      next.again.push({ way, tag, name, fromMm, toMm: roundTo(fromMm + mm, 0.01) });
    } else next.elsewhere.push({ way, byMm: mm });
  }
  if (next.changed.length > 0) {
    const steps = maker.body.steps.map((one) => (one.id === step.id ? step : one));
    next.body = { ...maker.body, steps };
  }
  return next;
}

import type { EvaluatedRepair } from '@core/fitting/fit';
import {
  placeOf,
  valuesIn,
  type Body,
  type Ground,
  type Place,
  type RepairState,
  type Step,
  type TrialResult,
} from '@core/record/model';
import { dot, minus, type Vec3 } from '@core/foundations/vectors';
import { roundTo } from '@core/foundations/quantity';

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
  changed: { way: PlaceAxis; fromMm: number; toMm: number }[];
  /** Sizes that the place was taken from: what they would have to be, mm. */
  again: { way: PlaceAxis; tag: string; name: string; fromMm: number; toMm: number }[];
  /** Layouts or formulas that it was taken from: by how much they are off, mm. */
  elsewhere: { way: PlaceAxis; byMm: number }[];
}

/** To the right, or on the left and right sides to the back; to the back, or on upright ones up. */
export type PlaceAxis = 'x' | 'y';

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

/** Places are told in hundredths, mm. */
const STEP_MM = 0.01;
const isThere = (mm: number, wantedMm: number) => Math.abs(mm - wantedMm) < STEP_MM / 2;

/** What a place is measured from along one way, and on what it stands. */
const frameOf = ({ on, xFrom, yFrom }: Place, way: PlaceAxis): string =>
  JSON.stringify([on ?? 'top', (way === 'x' ? xFrom : yFrom) ?? 'axle']);

/** The two ways of a side of the part that places are told along, of length 1. */
const WAYS_ON: Record<Exclude<Ground, object>, Record<PlaceAxis, Vec3>> = {
  top: { x: [1, 0, 0], y: [0, 1, 0] },
  bottom: { x: [1, 0, 0], y: [0, 1, 0] },
  front: { x: [1, 0, 0], y: [0, 0, 1] },
  back: { x: [1, 0, 0], y: [0, 0, 1] },
  left: { x: [0, 1, 0], y: [0, 0, 1] },
  right: { x: [0, 1, 0], y: [0, 0, 1] },
};

/** A point at is a finger wide: tenths are more than it tells, mm. */
const POINTED_MM = 0.1;

/** By how much something is off that is at one point and should be at another, to a tenth, mm; null where its ways have no names. */
export function misplacedBy(
  { on }: Pick<PlaceMaker, 'on'>,
  isAt: Vec3,
  shouldBeAt: Vec3,
): NonNullable<TrialResult['misplaced']> | null {
  if (typeof on === 'object') return null;
  const off = minus(shouldBeAt, isAt);
  const { x, y } = WAYS_ON[on];
  return { firstMm: roundTo(dot(off, x), POINTED_MM), secondMm: roundTo(dot(off, y), POINTED_MM) };
}

/** Whether the place of a fit is the one that was tried, as far as that can be told: what is pointed at now is off from where it was then. */
export function isPlacedAsTried(fitId: string, now: PlaceThen, then: PlaceThen | null): boolean {
  if (!then) return true;
  const [maker, tried] = [now, then].map(({ bodies }) => placeMakerOf(fitId, bodies));
  if (!maker || !tried) return false;
  const [place, placeThen] = [placeOf(maker.step)!, placeOf(tried.step)!];
  return (['x', 'y'] as const).every((way) => {
    const [mm, mmThen] = [plainMm(place[way], now.numbers), plainMm(placeThen[way], then.numbers)];
    return frameOf(place, way) === frameOf(placeThen, way) && mm !== null && mm === mmThen;
  });
}

/** What a number of a place comes to, mm; null where it is worked out from others. */
function plainMm(value: Place['x'], numbers: EvaluatedRepair): number | null {
  if (value.from === 'number') return value.mm;
  const worked = value.from === 'size' ? numbers.sizes.get(value.id)?.worked : undefined;
  return worked?.ok ? worked.trail.working : null;
}

/** Numbers that are measured from the far edge run the other way. */
const signOf = (from: Place['xFrom']): 1 | -1 => (from === 'high' || from === 'highFlush' ? -1 : 1);

/** Bodies and numbers at one time. */
export interface PlaceThen {
  bodies: RepairState['bodies'];
  numbers: EvaluatedRepair;
}

/**
 * What would bring a place that was found off to where it should be. It is off from where it stood in what was tried, so that a place that was moved since is not
 * moved twice. Null where it is there already, or is measured from elsewhere since.
 *
 * @param then what was tried; what stands now, where that was never frozen.
 */
export function nextPlace(
  { fitId, misplaced }: Pick<TrialResult, 'fitId' | 'misplaced'>,
  { bodies, numbers }: PlaceThen,
  then: PlaceThen | null = null,
): NextPlace | null {
  const maker = misplaced && placeMakerOf(fitId, bodies);
  if (!maker) return null;
  const place = placeOf(maker.step)!;
  const tried = then && placeMakerOf(fitId, then.bodies);
  if (then && !tried) return null;
  const placeThen = tried ? placeOf(tried.step)! : place;
  const numbersThen = then?.numbers ?? numbers;
  const next: NextPlace = { maker, body: null, changed: [], again: [], elsewhere: [] };
  let step: Step = maker.step;
  for (const way of ['x', 'y'] as const) {
    const mm =
      (way === 'x' ? misplaced.firstMm : misplaced.secondMm) *
      signOf(way === 'x' ? place.xFrom : place.yFrom);
    if (mm === 0) continue;
    const value = place[way];
    const was = placeThen[way];
    if (frameOf(place, way) !== frameOf(placeThen, way) || value.from !== was.from) return null;
    if (value.from === 'number' && was.from === 'number') {
      const toMm = roundTo(was.mm + mm, STEP_MM);
      if (isThere(value.mm, toMm)) continue;
      next.changed.push({ way, fromMm: value.mm, toMm });
      step = { ...step, [way]: { ...value, mm: toMm } };
      continue;
    }
    const size = value.from === 'size' ? numbers.sizes.get(value.id) : undefined;
    const sizeThen = was.from === 'size' ? numbersThen.sizes.get(was.id) : undefined;
    if (size?.worked.ok && sizeThen?.worked.ok) {
      const fromMm = size.worked.trail.working;
      const toMm = roundTo(sizeThen.worked.trail.working + mm, STEP_MM);
      const { tag, name } = size.size;
      if (!isThere(fromMm, toMm)) next.again.push({ way, tag, name, fromMm, toMm });
    } else next.elsewhere.push({ way, byMm: mm });
  }
  if (next.changed.length + next.again.length + next.elsewhere.length === 0) return null;
  if (next.changed.length > 0) {
    const steps = maker.body.steps.map((one) => (one.id === step.id ? step : one));
    next.body = { ...maker.body, steps };
  }
  return next;
}

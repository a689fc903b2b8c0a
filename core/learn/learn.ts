import type { Correction, FeatureKind, Instrument, Machine, MaterialFamily } from '@core/model';
import { FeatureKind as Kinds } from '@core/model';

import { expectedOf } from './conjugate';
import { NORMAL_95 } from '@core/workshop';

import { believedBefore, designOf, startingOf, type MadeSize } from './habits';
import { robustly, type RobustBelief } from './robust';

/** What a machine was found to do, from trials. */
export type Habits = RobustBelief;

/**
 * What a machine does to sizes, from what it made: an offset and a scale for each kind of feature, robust to odd makes.
 */
export function habitsOf(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  made: readonly MadeSize[],
): Habits {
  const found = made.map(({ id, trialId, feature, askedMm, madeMm, handMm }) => ({
    id,
    trialId,
    design: designOf(feature, askedMm),
    value: madeMm - askedMm,
    handMm,
  }));
  return robustly(found, machine.scatterMm, (scatterMm) =>
    believedBefore(machine, family, instrument, scatterMm),
  );
}

/** Doubt of the habit alone at a size, and of a new make with its scatter: Student's t, mm. */
export function expectedMake(habits: Habits, feature: FeatureKind, askedMm: number) {
  return expectedOf(habits.belief, designOf(feature, askedMm));
}

/**
 * The machine with corrections as its trials teach them, for one family of material; what stood there before is kept in each. Without any
 * made size, as it was before it learned.
 *
 * @param from where it was learned, for the trail: "4 trials".
 */
export function machineThatLearned(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  made: readonly MadeSize[],
  from: string,
): Machine {
  const starting = startingOf(machine);
  if (made.length === 0) return withoutFamily(machine, family);
  const habits = habitsOf(machine, family, instrument, made);
  const { belief } = habits;
  const variance = belief.rate / belief.shape;
  const corrections = Kinds.options.map((feature): Correction => {
    const [place, scalePlace] = [
      Kinds.options.indexOf(feature),
      Kinds.options.indexOf(feature) + Kinds.options.length,
    ];
    const at = (row: number, column: number) => variance * belief.spread[row]![column]!;
    const doubt: [number, number, number] = [
      at(place, place),
      at(place, scalePlace),
      at(scalePlace, scalePlace),
    ];
    const before = starting.corrections.find((one) => one.family === family && one.feature === feature);
    const stated =
      before &&
      (({ offsetMm, scale, plusMinusMm, learnedFrom }) => ({ offsetMm, scale, plusMinusMm, learnedFrom }))(
        before,
      );
    return {
      family,
      feature,
      offsetMm: clamp(-belief.mean[place]!, 5),
      scale: clamp(-belief.mean[scalePlace]!, 0.2),
      plusMinusMm: clamp(
        NORMAL_95 * Math.sqrt(Math.max(0, doubt[0] + 2 * doubt[1] * 20 + doubt[2] * 400)),
        5,
      ),
      learnedFrom: from,
      learned: {
        count: made.length - habits.odd.length,
        doubt,
        scatterMm: Math.sqrt(variance),
        degrees: 2 * belief.shape,
        instrumentId: instrument.id,
        before: stated ?? null,
      },
    };
  });
  return { ...machine, corrections: [...withoutFamily(machine, family, false).corrections, ...corrections] };
}

/** The machine before it learned of a family; `restore` false leaves that family's rows out altogether. */
function withoutFamily(machine: Machine, family: MaterialFamily, restore = true): Machine {
  const others = machine.corrections.filter((one) => one.family !== family);
  const own = restore ? startingOf(machine).corrections.filter((one) => one.family === family) : [];
  return { ...machine, corrections: [...others, ...own] };
}

const clamp = (value: number, limit: number) => Math.min(limit, Math.max(-limit, value));

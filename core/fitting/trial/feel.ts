import { classClearance, growthOfClearance, stepOf } from '@core/fitting/fit';
import {
  FitClass,
  type FitTable,
  type Remedy,
  type Trial,
  type TrialResult,
  type Workshop,
} from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { fitTableIn, machineIn, REFERENCE_MM, materialIn } from '@core/record/workshop';

import { clearanceMeasured } from './asked';
import { MIDDLE_HALVES } from './causes';
import { handOf, instrumentOf } from './madeSizes';

/** What a class of fit means to a person, beside its table. mm at the size of the tables. */
export interface Feel {
  /** How much looser than the table it feels right, and how surely that is known (one standard deviation). */
  shiftMm: number;
  standardMm: number;
  /** Verdicts on measured parts that it rests on. */
  count: number;
}

/** People differ in what they call snug by about this share of the half width, one standard deviation. */
const PEOPLE_HALVES = 1.2;
/** A word is right anywhere in its part of the scale: that of the two ends goes on without end. */
const WORD_HALVES = 1 / Math.sqrt(3);
const END_WORD_HALVES = 2;
/** A verdict that is further off than this many deviations counts less and less (Huber's weights). */
const HUBER = 1.5;
const ROUNDS = 8;

/** What makes another size of it. */
const CHANGES_SIZE: readonly Remedy[] = ['filed', 'drilled', 'reamed', 'sanded', 'shimmed'];

/** One verdict on a measured part: where the middle of what was wished lay, and how surely it says so. */
interface Said {
  shiftMm: number;
  standardMm: number;
}

/**
 * What a person means by a class, from what they said of parts that were measured (normal with a normal prior about the table; slips by Huber's
 * weights). The clearance was measured, so neither the machine nor its correction has a part in it.
 *
 * @param table whose class it is: only what was made by its process of its family counts.
 */
export function feelOf(
  fitClass: FitClass,
  table: FitTable,
  trials: readonly Trial[],
  workshop: Workshop,
): Feel | null {
  const usual = instrumentOf(trials, workshop);
  const said = trials.flatMap((trial) => {
    if (trial.removed || trial.leftOut !== null) return [];
    const { process } = machineIn(workshop, trial.machineId);
    const own = fitTableIn(workshop, process, materialIn(workshop, trial.materialId).family);
    if (own.id !== table.id) return [];
    return trial.results.flatMap(
      (result) => saidOf(result, fitClass, table, handOf(result, workshop, usual)) ?? [],
    );
  });
  if (said.length === 0) return null;
  const { aimMm, toMm } = classClearance(table, fitClass, REFERENCE_MM);
  const priorMm = PEOPLE_HALVES * (toMm - aimMm);
  let weights = said.map(() => 1);
  let [shiftMm, precision] = [0, 0];
  for (let round = 0; round < ROUNDS; round += 1) {
    precision = said.reduce(
      (sum, { standardMm }, index) => sum + weights[index]! / standardMm ** 2,
      1 / priorMm ** 2,
    );
    const sum = said.reduce(
      (all, one, index) => all + (weights[index]! * one.shiftMm) / one.standardMm ** 2,
      0,
    );
    shiftMm = sum / precision;
    weights = said.map((one) => {
      const off = Math.abs(one.shiftMm - shiftMm) / one.standardMm;
      return off <= HUBER ? 1 : HUBER / off;
    });
  }
  return { shiftMm, standardMm: 1 / Math.sqrt(precision), count: said.length };
}

function saidOf(result: TrialResult, fitClass: FitClass, table: FitTable, handMm: number): Said | null {
  const { verdict, feature } = result;
  const clearance = clearanceMeasured(result);
  if (verdict === null || clearance === null || feature === 'spacing') return null;
  if (result.fitClass !== fitClass || result.byHand || result.leftOut !== undefined) return null;
  // Nobody can tell whether it was felt before that or after it.
  if (result.done.some(({ what }) => CHANGES_SIZE.includes(what))) return null;
  const growth = growthOfClearance(result.counterpartMm);
  const { aimMm, toMm } = classClearance(table, fitClass, result.counterpartMm);
  const halfMm = toMm - aimMm;
  const isEnd = verdict === 'rattles' || verdict === 'willNotGo';
  const standardMm = Math.hypot(
    handMm,
    result.counterpartStandardMm,
    halfMm * (isEnd ? END_WORD_HALVES : WORD_HALVES),
  );
  const shiftMm = clearance - MIDDLE_HALVES[verdict] * halfMm - aimMm;
  return { shiftMm: shiftMm / growth, standardMm: standardMm / growth };
}

/** Verdicts from which on a class is worth changing, and how surely it must be off. */
const ENOUGH = 3;
const SURELY = 2;

/** The table with a class as this person means it, or null while that is not surely another one. Classes keep their order. */
export function tableAsFelt(table: FitTable, fitClass: FitClass, feel: Feel | null): FitTable | null {
  if (!feel || feel.count < ENOUGH || Math.abs(feel.shiftMm) < SURELY * feel.standardMm) return null;
  const step = stepOf(table);
  const felt = table.clearances[fitClass] + feel.shiftMm;
  const order = FitClass.options;
  const place = order.indexOf(fitClass);
  // A class stays between its neighbours: what goes past one of them is that one.
  const [looser, tighter] = [order[place - 1], order[place + 1]];
  const most = looser === undefined ? Infinity : table.clearances[looser] - step;
  const least = tighter === undefined ? -Infinity : table.clearances[tighter] + step;
  const next = roundTo(Math.min(most, Math.max(least, felt)), step);
  if (Math.abs(next - table.clearances[fitClass]) < step / 2) return null;
  return { ...table, clearances: { ...table.clearances, [fitClass]: next } };
}

import { askedOfFit, evaluateRepair, featureOf, type EvaluatedRepair } from '@core/fitting/fit';
import { machineThatLearned, type MadeSize } from '@core/fitting/learn';
import { uncertaintyOf } from '@core/measuring/measure';
import type {
  Fit,
  FitClass,
  FitTable,
  Machine,
  MaterialFamily,
  RepairState,
  Trial,
  TrialResult,
  Workshop,
} from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { correctionOf, fitTableIn, machineIn, NORMAL_95, materialIn } from '@core/record/workshop';

import { aimOf, clearanceMeasured, madeOf } from './asked';
import { causesOf, feelShift, MIDDLE_HALVES, type Evidence, type Diagnosis } from './causes';
import { contradictionOf, type Contradiction } from './contradiction';
import { feelOf, tableAsFelt } from './feel';
import { handOf, instrumentOf, madeSizesOf, trialsOf } from './madeSizes';

/** A number that should change, and what it would do. mm. */
export type Proposal =
  | {
      kind: 'correction';
      machine: Machine;
      feature: ReturnType<typeof featureOf>['kind'];
      fromMm: number;
      toMm: number;
      /** Made sizes it rests on, odd ones left out; and how many are taken for odd. */
      count: number;
      odd: number;
      chance: number | null;
      working: { fromMm: number; toMm: number } | null;
    }
  | {
      kind: 'allowance';
      fit: Fit;
      fromMm: number;
      toMm: number;
      chance: number | null;
      working: { fromMm: number; toMm: number } | null;
    }
  | {
      /** What a class of fit means to this person, for all fits of its table. mm at its size of 6 mm. */
      kind: 'feel';
      table: FitTable;
      fitClass: FitClass;
      fromMm: number;
      toMm: number;
      /** Verdicts that it rests on. */
      count: number;
      chance: number | null;
      working: { fromMm: number; toMm: number } | null;
    };

/** How a part can be saved without a new make. mm. */
export type Saving =
  { by: 'ream' | 'sand' | 'deepen'; toMm: number; byMm: number } | { by: 'shim'; eachMm: number };

/** Everything a trial says of one fit. */
export interface Judged {
  result: TrialResult;
  evidence: Evidence;
  clearanceMm: number | null;
  told: Diagnosis;
  contradiction: Contradiction | null;
  proposals: Proposal[];
  saving: Saving | null;
}

/** What trials are judged with: the repair as it stands now, and the trials of all repairs that a machine learns from. */
export interface TrialSetting {
  state: RepairState;
  numbers: EvaluatedRepair;
  workshop: Workshop;
  /** Of all repairs, with those of this one. */
  trials: readonly Trial[];
  /** Whether those of other repairs are among them: without them a machine would forget what they taught, so it learns nothing then. */
  complete: boolean;
}

/** The machine of a trial as all trials on it teach, for the family of its material. */
export function machineAfter(
  trial: Pick<Trial, 'machineId' | 'materialId'>,
  { workshop, trials }: Pick<TrialSetting, 'workshop' | 'trials'>,
): Machine {
  const machine = machineIn(workshop, trial.machineId);
  const { family } = materialIn(workshop, trial.materialId);
  const counted = trialsOf(trials, machine, family, workshop);
  const instrument = instrumentOf(counted, workshop);
  const made = madeSizesOf(counted, workshop, instrument);
  return machineThatLearned(machine, family, instrument, made, learnedFrom(made));
}

/** Where a correction was learned, for the trail: trials in which nothing was measured taught nothing. */
export function learnedFrom(made: readonly MadeSize[]): string {
  const count = new Set(made.map(({ trialId }) => trialId)).size;
  return `learned from ${count} ${count === 1 ? 'trial' : 'trials'}`;
}

export function judge(trial: Trial, result: TrialResult, setting: TrialSetting): Judged {
  const { state, numbers, workshop } = setting;
  const machine = machineIn(workshop, trial.machineId);
  const { family } = materialIn(workshop, trial.materialId);
  const fit = state.fits.find(({ id, removed }) => id === result.fitId && !removed) ?? null;
  const { kind } = featureOf(result.feature);
  const correction = correctionOf(machine, family, kind, result.counterpartMm, askedOfFit(result));
  const evidence: Evidence = {
    wish: wishOf(result, fit, numbers),
    scatterMm: correction.learned?.scatterMm ?? machine.scatterMm,
    correctionDoubtMm: correction.plusMinusMm / NORMAL_95,
    handMm: handOf(result, workshop, instrumentOf(setting.trials, workshop)),
    counterpartNow: counterpartNow(result, fit, numbers),
  };
  const told = causesOf(result, evidence);
  return {
    result,
    evidence,
    clearanceMm: clearanceMeasured(result),
    told,
    contradiction: contradictionOf(result, evidence),
    proposals: proposalsOf(trial, result, fit, evidence, told, setting),
    saving: savingOf(result, evidence),
  };
}

/** What is wished: of the fit as it stands, moved to what was aimed at then. */
function wishOf(result: TrialResult, fit: Fit | null, numbers: EvaluatedRepair) {
  const aimMm = aimOf(result);
  const wish = fit ? numbers.fits.get(fit.id)?.chance?.wish : undefined;
  const half = wish ? (wish.toMm - wish.fromMm) / 2 : USUAL_HALF_MM;
  return { aimMm, fromMm: aimMm - half, toMm: aimMm + half };
}

/** Half of what is wished, where the fit is gone. */
const USUAL_HALF_MM = 0.04;

/** The counterpart as it is measured now, if that is another number than then. */
function counterpartNow(
  result: TrialResult,
  fit: Fit | null,
  numbers: EvaluatedRepair,
): Evidence['counterpartNow'] {
  const size = fit && numbers.sizes.get(fit.counterpartSizeId);
  if (size?.result.status !== 'measured') return null;
  const standardMm = uncertaintyOf(size.result)?.standard ?? 0;
  const isAnother =
    Math.abs(size.result.value - result.counterpartMm) > 1e-6 ||
    standardMm < result.counterpartStandardMm * 0.9;
  return isAnother ? { mm: size.result.value, standardMm } : null;
}

/** Changes smaller than this are not worth a word, mm. */
const WORTHWHILE_MM = 0.01;

/** A cause as likely as this is put before the person. */
const WORTH_ASKING = 0.25;

function proposalsOf(
  trial: Trial,
  result: TrialResult,
  fit: Fit | null,
  evidence: Evidence,
  told: Diagnosis,
  setting: TrialSetting,
): Proposal[] {
  const { state, numbers, workshop } = setting;
  const proposals: Proposal[] = [];
  const { kind } = featureOf(result.feature);
  const { family } = materialIn(workshop, trial.materialId);
  const sizeMm = result.counterpartMm;
  const sameMachine =
    state.head.machineId === trial.machineId && materialIn(workshop, state.head.materialId).family === family;
  const effect = (changed: { fits?: Fit[]; workshop?: Workshop }) => {
    if (!fit || !sameMachine) return { chance: null, working: null };
    const now = numbers.fits.get(fit.id);
    const then = evaluateRepair(
      { ...state, fits: changed.fits ?? state.fits },
      changed.workshop ?? workshop,
    ).fits.get(fit.id);
    return {
      chance: then?.chance?.probability ?? null,
      working:
        now?.worked.ok && then?.worked.ok
          ? { fromMm: now.worked.trail.working, toMm: then.worked.trail.working }
          : null,
    };
  };
  const before = machineIn(workshop, trial.machineId);
  const machine = machineAfter(trial, setting);
  const [old, next] = [before, machine].map((one) =>
    correctionOf(one, family, kind, sizeMm, askedOfFit(result)),
  ) as [ReturnType<typeof correctionOf>, ReturnType<typeof correctionOf>];
  const saysSomething =
    setting.complete &&
    trial.leftOut === null &&
    result.leftOut === undefined &&
    (madeOf(result) !== null || result.looserMm !== null);
  const isNews = Math.abs(next.mm - old.mm) >= WORTHWHILE_MM || next.plusMinusMm < 0.8 * old.plusMinusMm;
  if (saysSomething && isNews) {
    const learned = machine.corrections.find(
      (one) => one.family === family && one.feature === kind,
    )!.learned!;
    const counted = trialsOf(setting.trials, machine, family, workshop);
    const all = madeSizesOf(counted, workshop, instrumentOf(counted, workshop)).length;
    proposals.push({
      kind: 'correction',
      machine,
      feature: kind,
      fromMm: old.mm,
      toMm: next.mm,
      count: learned.count,
      odd: all - learned.count,
      ...effect({
        workshop: {
          ...workshop,
          machines: workshop.machines.map((one) => (one.id === machine.id ? machine : one)),
        },
      }),
    });
  }
  const feel = feltClass(result, before, family, setting);
  if (feel && fit && fit.ownClearanceMm === null && fit.iso === null) {
    proposals.push({
      kind: 'feel',
      ...feel,
      ...effect({
        workshop: {
          ...workshop,
          fitTables: workshop.fitTables.map((one) => (one.id === feel.table.id ? feel.table : one)),
        },
      }),
    });
    // The class says it for this fit as well.
    return proposals;
  }
  const shift = feelShift(result, evidence);
  const allowance = told.causes.find(({ cause }) => cause === 'allowance')!.probability;
  const isFeel = allowance >= WORTH_ASKING;
  if (fit && shift !== null && result.verdict !== 'right' && isFeel && Math.abs(shift) >= WORTHWHILE_MM) {
    const fromMm = aimOf(result);
    const toMm = roundTo(fromMm + shift, 0.01);
    const changed: Fit = { ...fit, ownClearanceMm: toMm, iso: null };
    proposals.push({
      kind: 'allowance',
      fit: changed,
      fromMm,
      toMm,
      ...effect({ fits: state.fits.map((one) => (one.id === fit.id ? changed : one)) }),
    });
  }
  return proposals;
}

/** The table with the class of a result as this person means it, if that is surely another one. */
function feltClass(
  { fitClass }: TrialResult,
  { process }: Machine,
  family: MaterialFamily,
  { workshop, trials, complete }: TrialSetting,
) {
  if (!complete) return null;
  const table = fitTableIn(workshop, process, family);
  const feel = feelOf(fitClass, table, trials, workshop);
  const felt = tableAsFelt(table, fitClass, feel);
  if (!felt) return null;
  return {
    table: felt,
    fitClass,
    fromMm: table.clearances[fitClass],
    toMm: felt.clearances[fitClass],
    count: feel!.count,
  };
}

/** Thinnest shim that anybody has, mm. */
const THINNEST_SHIM_MM = 0.05;

function savingOf(result: TrialResult, { wish }: Evidence): Saving | null {
  const halfMm = (wish.toMm - wish.fromMm) / 2;
  const clearance =
    clearanceMeasured(result) ??
    (result.verdict === null ? null : wish.aimMm + MIDDLE_HALVES[result.verdict] * halfMm);
  if (clearance === null || result.verdict === 'right' || result.feature === 'spacing') return null;
  if (result.verdict === null && clearance >= wish.fromMm && clearance <= wish.toMm) return null;
  const { inside, twoSides } = featureOf(result.feature);
  const lacksMm = wish.aimMm - clearance;
  const tight =
    result.verdict === 'stiff' || result.verdict === 'willNotGo' || (result.verdict === null && lacksMm > 0);
  if (tight && lacksMm >= WORTHWHILE_MM) {
    const toMm = roundTo(
      inside ? result.counterpartMm + wish.aimMm : result.counterpartMm - wish.aimMm,
      0.01,
    );
    const by = result.feature === 'bore' ? 'ream' : result.feature === 'recess' ? 'deepen' : 'sand';
    return { by, toMm, byMm: roundTo(lacksMm, 0.01) };
  }
  const eachMm = twoSides ? -lacksMm / 2 : -lacksMm;
  return !tight && eachMm >= THINNEST_SHIM_MM ? { by: 'shim', eachMm: roundTo(eachMm, 0.01) } : null;
}

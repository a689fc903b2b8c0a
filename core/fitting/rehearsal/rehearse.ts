import jstat from 'jstat';

import { evaluateRepair, featureOf, isRound, type FitChance } from '@core/fitting/fit';
import { machineThatLearned, type MadeSize } from '@core/fitting/learn';
import { emptyRepair, newSize, type Fit, type Machine, type Repair } from '@core/record/model';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import {
  Measurer,
  CALIPER,
  drawPlace,
  Make,
  measuredGaugeRow,
  measuredTrial,
  type FitPlace,
} from './measurer';
import { lotsOf } from './chances';
import { meanMade, varied, type RealMachine } from './realMachine';

/** What is known of a machine when a first make is tried. */
export type Knowing = 'untried' | 'afterGaugeRow' | 'after3' | 'after10';
export const KNOWINGS: readonly Knowing[] = ['untried', 'afterGaugeRow', 'after3', 'after10'];

/** Makes that the machine has made by then. */
const MAKES_BEFORE: Record<Knowing, number> = { untried: 0, afterGaugeRow: 1, after3: 3, after10: 10 };

/** One first make of one place. */
export interface FirstMake {
  machine: string;
  knowing: Knowing;
  /** As the app said beforehand. */
  statedChance: number;
  fits: boolean;
  /** Whether it would have fitted somebody who knows the machine's habits and the counterpart's true size: only the scatter is left. */
  oracleFits: boolean;
  /** How often that one's makes of this place fit. */
  oracleChance: number;
}

/** Of what the spares of rehearsals are made: PETG. */
const FAMILY = 'plastic';
/** Repairs for which one and the same history of trials is known; the next ones get one of their own. */
const REPAIRS_A_HISTORY = 10;

/**
 * First makes of repairs drawn at random, on machines with hidden habits, by the way that the app goes: readings, trail, working size, trials,
 * corrections learned. The same seed gives the same makes; each stage of knowing has the same places and the same scatter.
 */
export function rehearse(machines: readonly RealMachine[], repairs: number, seed: number): FirstMake[] {
  return machines.flatMap((machine, place) =>
    Array.from({ length: Math.ceil(repairs / REPAIRS_A_HISTORY) }, (_, history) => {
      const first = history * REPAIRS_A_HISTORY;
      const count = Math.min(REPAIRS_A_HISTORY, repairs - first);
      return rehearseHistory(machine, count, seed + 7919 * place + 104_729 * history);
    }).flat(),
  );
}

function rehearseHistory(machine: RealMachine, repairs: number, seed: number): FirstMake[] {
  const lots = lotsOf(seed);
  const bench = new Measurer(lots);
  const untried = DEFAULT_WORKSHOP.machines[0]!;
  const trials = Array.from({ length: 10 }, (_, index) =>
    measuredTrial(new Make(machine, lots, index), bench, lots, `trial-${index}`),
  );
  const learned = (made: readonly MadeSize[]) =>
    machineThatLearned(untried, FAMILY, CALIPER, made, 'rehearsed');
  const known: Record<Knowing, Machine> = {
    untried,
    afterGaugeRow: learned(measuredGaugeRow(new Make(machine, lots, 0), bench, lots, 'gauge-row')),
    after3: learned(trials.slice(0, 3).flat()),
    after10: learned(trials.flat()),
  };
  return Array.from({ length: repairs }, () => {
    const place = drawPlace(lots);
    const readings = bench.readCounterpart(place);
    // What nobody can know of this make, the same at each stage of knowing.
    const offMm = varied(machine, lots) + (machine.makeMm ?? 0) * lots.normal();
    return KNOWINGS.map((knowing) => firstMake(machine, knowing, known[knowing], place, readings, offMm));
  }).flat();
}

function firstMake(
  machine: RealMachine,
  knowing: Knowing,
  known: Machine,
  place: FitPlace,
  readings: readonly number[],
  offMm: number,
): FirstMake {
  const workshop = { ...DEFAULT_WORKSHOP, machines: [known] };
  const { worked, chance } = evaluateRepair(repairOf(place, readings), workshop).fits.get('fit')!;
  if (!worked.ok || !chance) throw new Error('a rehearsed repair could not be worked out');
  const { inside } = featureOf(place.feature);
  const { working } = worked.trail;
  const made = { feature: place.feature, along: place.along, askedMm: working };
  const madeMm = meanMade(machine, made, MAKES_BEFORE[knowing]) + offMm;
  const clearanceMm = inside ? madeMm - place.trueMm : place.trueMm - madeMm;
  const within = (mm: number) => mm >= chance.wish.fromMm && mm <= chance.wish.toMm;
  // What the oracle makes is off by the scatter alone.
  const oracleMm = chance.meanMm + (inside ? offMm : -offMm);
  return {
    machine: machine.name,
    knowing,
    statedChance: chance.probability,
    fits: within(clearanceMm),
    oracleFits: within(oracleMm),
    oracleChance: oracleChanceOf(chance, Math.hypot(machine.scatterMm, machine.makeMm ?? 0)),
  };
}

const oracleChanceOf = ({ wish, meanMm }: FitChance, scatterMm: number) =>
  jstat.normal.cdf(wish.toMm, meanMm, scatterMm) - jstat.normal.cdf(wish.fromMm, meanMm, scatterMm);

const NOW = '2026-01-01T00:00:00.000Z';

/** A repair of one place, with the readings of its counterpart. */
function repairOf({ feature, fitClass, along }: FitPlace, readings: readonly number[]): Repair {
  const size = newSize({ id: 'size', tag: 'A', name: 'Counterpart', kind: 'measured', of: 'counterpart' });
  const fit: Fit = {
    id: 'fit',
    version: 1,
    name: 'Fit',
    counterpartSizeId: size.id,
    feature,
    ...(isRound(feature) ? {} : { along }),
    fitClass,
    ownClearanceMm: null,
    iso: null,
    removed: false,
  };
  return {
    ...emptyRepair({ id: 'rehearsed', name: 'Rehearsed', place: '' }, NOW),
    sizes: [size],
    readings: readings.map((value, index) => ({
      id: `reading-${index}`,
      version: 1,
      sizeId: size.id,
      value,
      typed: value.toFixed(2),
      instrumentId: CALIPER.id,
      takenAt: NOW,
      leftOut: null,
      removed: false,
    })),
    fits: [fit],
  };
}

import { featureOf } from '@core/fitting/fit';
import type { MadeSize } from '@core/fitting/learn';
import { uncertaintyOfReadings } from '@core/measuring/measure';
import {
  BENCH_CALIPER_ID,
  type Instrument,
  type Machine,
  type Trial,
  type TrialResult,
  type Workshop,
} from '@core/record/model';
import { instrumentIn, materialIn } from '@core/record/workshop';

import { askedOf, madeOf, wantedOf } from './asked';

/** Steps of a gauge row, mm: what felt right may be off by half of one. */
const ROW_STEP_MM = 0.1;

/** The instrument that most made sizes were measured with. */
export function instrumentOf(trials: readonly Trial[], workshop: Workshop): Instrument {
  const counts = new Map<string, number>();
  for (const { results } of trials) {
    for (const { made } of results) {
      for (const { instrumentId } of made) counts.set(instrumentId, (counts.get(instrumentId) ?? 0) + 1);
    }
  }
  const [most] = [...counts].sort(([, a], [, b]) => b - a);
  return instrumentIn(workshop, most?.[0] ?? BENCH_CALIPER_ID);
}

/** The trials that a machine learns from, for a family of material, by time: not deleted, not left out, not from before it made otherwise. */
export function trialsOf(
  trials: readonly Trial[],
  { id, learnsSince = '' }: Pick<Machine, 'id' | 'learnsSince'>,
  family: string,
  workshop: Workshop,
): Trial[] {
  return trials
    .filter(
      (trial) =>
        !trial.removed &&
        trial.leftOut === null &&
        trial.machineId === id &&
        trial.triedAt >= learnsSince &&
        materialIn(workshop, trial.materialId).family === family,
    )
    .sort((a, b) => a.triedAt.localeCompare(b.triedAt));
}

/**
 * Made beside asked, of every result that says anything of it: those that were measured, and places of a gauge row that felt right, which say it less
 * surely.
 */
export function madeSizesOf(
  trials: readonly Trial[],
  workshop: Workshop,
  instrument: Instrument,
): MadeSize[] {
  return trials.flatMap((trial) =>
    trial.results.flatMap((result, index): MadeSize[] => {
      const found = measured(result, workshop, instrument) ?? felt(result);
      if (!found || result.leftOut !== undefined) return [];
      const { feature, along } = result;
      return [
        {
          id: `${trial.id}/${index}`,
          trialId: trial.id,
          feature: featureOf(feature).kind,
          fitFeature: feature,
          ...(along ? { along } : {}),
          askedMm: askedOf(result),
          ...found,
        },
      ];
    }),
  );
}

/** Standard uncertainty of a made size through hand and display, and what another instrument than the usual one adds. */
export function handOf({ made }: Pick<TrialResult, 'made'>, workshop: Workshop, usual: Instrument): number {
  if (made.length === 0) return 0;
  const instrument = instrumentIn(workshop, made[0]!.instrumentId);
  const { contributions } = uncertaintyOfReadings(
    made.map(({ mm }) => mm),
    instrument,
  );
  // The usual instrument's own error is in the counterpart's readings too.
  return Math.hypot(
    ...contributions
      .filter(({ source }) => source !== 'instrument' || instrument.id !== usual.id)
      .map(({ standard }) => standard),
  );
}

function measured(result: TrialResult, workshop: Workshop, instrument: Instrument) {
  const madeMm = madeOf(result);
  return madeMm === null ? null : { madeMm, handMm: handOf(result, workshop, instrument) };
}

/** A place that felt right lies within what is wished: about half a step of the row about the aim. */
function felt(result: TrialResult) {
  if (result.looserMm === null) return null;
  // It came out as what was wanted of the row's middle, whichever place it is.
  const middle = { ...result, looserMm: null };
  return {
    madeMm: wantedOf(middle),
    handMm: Math.hypot(ROW_STEP_MM / Math.sqrt(12), FEEL_MM, result.counterpartStandardMm),
  };
}

/** How surely a hand tells the middle of what it wishes, one standard deviation, mm. */
const FEEL_MM = 0.025;

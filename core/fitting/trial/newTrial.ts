import {
  counterpartOf,
  criticalSizes,
  evaluateRepair,
  fitsOfBody,
  type EvaluatedRepair,
} from '@core/fitting/fit';
import { uncertaintyOf } from '@core/measuring/measure';
import {
  NAME_LIMIT,
  RESULTS_LIMIT,
  type RepairState,
  type Revision,
  type Trial,
  type TrialOf,
  type TrialResult,
} from '@core/record/model';
import { layerPrinterFor, machineIn, materialIn } from '@core/record/workshop';

import { hasFirstLayer } from './elephantFoot';

/** What is tried: a frozen revision, or the repair as it stands. */
export interface Tried {
  state: RepairState;
  numbers: EvaluatedRepair;
  letter: string | null;
}

export function triedRevision(revision: Revision): Tried {
  return {
    state: revision.state,
    numbers: evaluateRepair(revision.state, revision.workshop),
    letter: revision.letter,
  };
}

/** Why a size teaches no machine until somebody says so. */
const SIZE_LEFT_OUT = 'nobody said yet that it lay along the bed';

/** Of what nobody has looked at yet. */
const NOTHING_TRIED = {
  made: [],
  verdict: null,
  looserMm: null,
  done: [],
  note: '',
} satisfies Partial<TrialResult>;

const OF_WORDS: Record<TrialOf, string> = { part: '', testPiece: ', test piece', gaugeRow: ', gauge row' };

/**
 * A trial that begins: one result for each fit whose working size was known, or for one of them; and for each critical size that goes into the model as it is.
 *
 * @param triedAt ISO 8601 instant.
 */
export function newTrial(
  { state, numbers, letter }: Tried,
  given: {
    id: string;
    of: TrialOf;
    triedAt: string;
    madePartId: string | null;
    /** The row of which fit, and its middle place in the model, mm: it was laid out with the numbers of then. */
    row?: { fitId: string; middleMm: number };
    /** The body that was made, if it was one alone: its own fits are asked about. */
    bodyId?: string;
    /** Where it was made and of what, if that is not what the repair says now. */
    machineId?: string;
    materialId?: string;
    /** As they were kept when the job was sent, instead of as things stand. */
    results?: TrialResult[];
  },
): Trial {
  const { head } = state;
  const machine = machineIn(numbers.workshop, given.machineId ?? head.machineId);
  const materialId = given.materialId ?? head.materialId;
  const { family } = materialIn(numbers.workshop, materialId);
  const takenBackMm = layerPrinterFor(numbers.workshop, machine.id, family)?.firstLayerSpreadMm;
  const own = given.bodyId === undefined ? null : fitsOfBody(given.bodyId, state);
  const asked = given.row ? new Set([given.row.fitId]) : own;
  const standing = [...numbers.fits.values()]
    .filter(({ fit }) => asked === null || asked.has(fit.id))
    .flatMap(({ fit, worked }): TrialResult[] => {
      if (!worked.ok) return [];
      const amount = (kind: 'allowance' | 'correction') =>
        worked.trail.entries.find((entry) => entry.kind === kind)?.value ?? 0;
      const size = numbers.sizes.get(fit.counterpartSizeId);
      const doubts =
        size && uncertaintyOf(size.result)?.contributions.filter(({ source }) => source !== 'instrument');
      return [
        {
          fitId: fit.id,
          fitName: fit.name,
          feature: fit.feature,
          ...(fit.along ? { along: fit.along } : {}),
          fitClass: fit.fitClass,
          counterpartMm: counterpartOf(worked.trail),
          allowanceMm: amount('allowance'),
          correctionMm: given.row
            ? given.row.middleMm - counterpartOf(worked.trail) - amount('allowance')
            : amount('correction'),
          counterpartStandardMm: Math.hypot(...(doubts ?? []).map(({ standard }) => standard)),
          ...NOTHING_TRIED,
          ...(takenBackMm !== undefined && !given.row && hasFirstLayer(fit.feature)
            ? { foot: { takenBackMm, made: [] } }
            : {}),
          ...(fit.ownClearanceMm === null && fit.iso === null ? {} : { byHand: true as const }),
        },
      ];
    });
  const critical = given.row ? [] : criticalSizes(state, numbers, given.bodyId);
  const sizes = critical.map(({ id, name, feature, mm }): TrialResult => ({
    fitId: id,
    fitName: name,
    feature,
    fitClass: 'slides',
    counterpartMm: mm,
    allowanceMm: 0,
    correctionMm: 0,
    counterpartStandardMm: 0,
    ...NOTHING_TRIED,
    ofSize: true,
    // Along the bed and up from it a machine has different habits, and a size does not say which way it lay.
    leftOut: SIZE_LEFT_OUT,
  }));
  const what = letter === null ? 'As it stood' : `Revision ${letter}`;
  return {
    id: given.id,
    version: 0,
    name: `${what}, ${machine.name}${OF_WORDS[given.of]}`.slice(0, NAME_LIMIT),
    of: given.of,
    letter,
    machineId: machine.id,
    materialId,
    triedAt: given.triedAt,
    madePartId: given.madePartId,
    results: given.results ?? [...standing, ...sizes].slice(0, RESULTS_LIMIT),
    leftOut: null,
    taken: [],
    note: '',
    removed: false,
  };
}

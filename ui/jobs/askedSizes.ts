import { criticalSizes, fitsOfBody, testPieceOf, type EvaluatedRepair } from '@core/fitting/fit';
import {
  ASKED_LIMIT,
  RESULTS_LIMIT,
  type AskedSize,
  type Body,
  type FitFeature,
  type Jaw,
  type NewJob,
  type Repair,
} from '@core/record/model';
import { gaugePlaces } from '@core/shaping/recipe';
import { hasFirstLayer, newTrial } from '@core/fitting/trial';
import { layerPrinterFor, machineIn, materialIn } from '@core/record/workshop';

/** Where the calipers go on what was made. */
const JAW_OF: Record<FitFeature, Jaw> = {
  bore: 'inside',
  peg: 'outside',
  slot: 'inside',
  tab: 'outside',
  recess: 'depth',
  between: 'outside',
  nut: 'inside',
  screw: 'outside',
  spacing: 'outside',
};

/** The id of a place of a gauge row among what was asked. */
export const placeId = (fitId: string, looserMm: number): string => `${fitId}:${looserMm.toFixed(1)}`;

/** The id of what a size measures across its edge on the bed. */
export const firstLayerId = (id: string): string => `${id}:foot`;

/** The same sizes across their edges on the bed, as the first layer is laid there; none where nothing is laid in layers. */
function atFirstLayer(
  asked: readonly AskedSize[],
  { head }: Repair,
  { workshop }: EvaluatedRepair,
): AskedSize[] {
  const { family } = materialIn(workshop, head.materialId);
  const printer = layerPrinterFor(workshop, machineIn(workshop, head.machineId).id, family);
  if (!printer) return [];
  return asked
    .filter(({ feature }) => hasFirstLayer(feature))
    .map((one) => {
      const takenBack = (one.jaw === 'inside' ? 2 : -2) * printer.firstLayerSpreadMm;
      return {
        ...one,
        id: firstLayerId(one.id),
        name: `${one.name}, at the first layer`.slice(0, 120),
        mm: Math.max(0.01, one.mm + takenBack),
        foot: true as const,
      };
    });
}

/** The working sizes that a body is to have, to be measured when it is made: one for each fit and each critical size, or for each place of its gauge row. */
export function askedSizes(body: Body, repair: Repair, numbers: EvaluatedRepair): AskedSize[] {
  const row = gaugePlaces(
    body,
    [...numbers.fits.values()].map(({ fit }) => fit),
  );
  if (row) {
    const { fit, places } = row;
    return places.map(({ looserMm, mm }) => ({
      id: placeId(fit.id, looserMm),
      name: `${fit.name}, ${looserMm === 0 ? 'the middle' : `${Math.abs(looserMm).toFixed(1)} ${looserMm > 0 ? 'looser' : 'tighter'}`}`,
      feature: fit.feature,
      jaw: JAW_OF[fit.feature],
      mm,
    }));
  }
  const own = fitsOfBody(body.id, repair);
  const fits = [...numbers.fits.values()].flatMap(({ fit, worked }): AskedSize[] =>
    worked.ok && own.has(fit.id)
      ? [
          {
            id: fit.id,
            name: fit.name,
            feature: fit.feature,
            jaw: JAW_OF[fit.feature],
            mm: worked.trail.working,
          },
        ]
      : [],
  );
  const sizes = criticalSizes(repair, numbers, body.id);
  return [...fits, ...sizes];
}

/** How the trial of a body that is made now will begin. */
export function trialOf(body: Body, repair: Repair, numbers: EvaluatedRepair): NewJob['trial'] {
  const row = gaugePlaces(body, repair.fits);
  const middle = row?.places.find(({ looserMm }) => looserMm === 0);
  const of = row ? 'gaugeRow' : testPieceOf(body, repair.fits) ? 'testPiece' : 'part';
  const { results } = newTrial(
    { state: repair, numbers, letter: null },
    {
      id: 'job',
      of,
      triedAt: '',
      madePartId: null,
      bodyId: body.id,
      ...(row && middle ? { row: { fitId: row.fit.id, middleMm: middle.mm } } : {}),
    },
  );
  return { of, results };
}

/** What is asked of all that lies on one bed. @param bodies the leading one first. */
export function askedOfBed(bodies: readonly Body[], repair: Repair, numbers: EvaluatedRepair): AskedSize[] {
  const tried = triedOf(bodies, repair);
  const sizes = onceEach(
    tried.flatMap((body) => askedSizes(body, repair, numbers)),
    ({ id }) => id,
  );
  // A row of gauges is felt, not measured all round.
  const isRow = gaugePlaces(tried[0]!, repair.fits) !== null;
  return [...sizes, ...(isRow ? [] : atFirstLayer(sizes, repair, numbers))].slice(0, ASKED_LIMIT);
}

/** How the trial of all that lies on one bed will begin. */
export function trialOfBed(
  bodies: readonly Body[],
  repair: Repair,
  numbers: EvaluatedRepair,
): NewJob['trial'] {
  const trials = triedOf(bodies, repair).map((body) => trialOf(body, repair, numbers));
  const results = trials.flatMap((trial) => trial.results);
  return { of: trials[0]!.of, results: onceEach(results, ({ fitId }) => fitId).slice(0, RESULTS_LIMIT) };
}

/** A trial is of parts, or of one test piece, or of one gauge row: of what leads. */
function triedOf([leading, ...others]: readonly Body[], { fits }: Pick<Repair, 'fits'>): Body[] {
  const isPart = (body: Body) => testPieceOf(body, fits) === null && gaugePlaces(body, fits) === null;
  return isPart(leading!) ? [leading!, ...others.filter(isPart)] : [leading!];
}

const onceEach = <T>(all: readonly T[], idOf: (one: T) => string): T[] => [
  ...new Map(all.map((one) => [idOf(one), one])).values(),
];

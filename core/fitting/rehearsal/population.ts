import { z } from 'zod';

import { FeatureKind, FitFeature } from '@core/record/model';

import { lotsOf } from './chances';
import type { RealMachine } from './realMachine';

/** From the least to the most: anything between is as likely. */
const range = (least: number, most: number) =>
  z
    .tuple([z.number().min(least).max(most), z.number().min(least).max(most)])
    .refine(([from, to]) => from <= to, { message: 'the first of the two must not be the larger one' });
const mm = range(-2, 2);

/** Machines as they are found among many: ranges in which each of their habits lies. mm, on the diameter. */
export const Population = z.strictObject({
  count: z.int().min(1).max(5000),
  /** Made less asked, by kind of feature. */
  offsetMm: z.partialRecord(FeatureKind, mm),
  /** Share of the size, along the bed and up from it. */
  scale: range(-0.05, 0.05),
  scaleUp: range(-0.05, 0.05),
  /** Even in its logarithm. */
  scatterMm: range(0.001, 1),
  smallHolesMm2: range(0, 5).optional(),
  across: range(-0.05, 0.05).optional(),
  fits: z.partialRecord(FitFeature, range(-1, 1)).optional(),
  makeMm: range(0, 1).optional(),
  driftMm: range(-1, 1).optional(),
  tail: z.number().min(2.1).max(100).optional(),
});
export type Population = z.infer<typeof Population>;

export function drawPopulation(population: Population, seed: number): RealMachine[] {
  const lots = lotsOf(seed);
  const drawn = (range: readonly [number, number] | undefined) => (range ? lots.between(...range) : 0);
  const { scatterMm, tail } = population;
  return Array.from({ length: population.count }, (_, index): RealMachine => {
    const [scale, scaleUp] = [drawn(population.scale), drawn(population.scaleUp)];
    return {
      name: `Drawn ${index + 1}`,
      scatterMm: Math.exp(lots.between(Math.log(scatterMm[0]), Math.log(scatterMm[1]))),
      habits: FeatureKind.options.map((feature) => ({
        feature,
        offsetMm: drawn(population.offsetMm[feature]),
        scale: feature === 'height' ? scaleUp : scale,
      })),
      smallHolesMm2: drawn(population.smallHolesMm2),
      across: drawn(population.across),
      fits: Object.fromEntries(
        Object.entries(population.fits ?? {}).map(([feature, range]) => [feature, drawn(range)]),
      ),
      makeMm: drawn(population.makeMm),
      driftMm: drawn(population.driftMm),
      ...(tail === undefined ? {} : { tail }),
    };
  });
}

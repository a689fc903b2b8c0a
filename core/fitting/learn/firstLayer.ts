import type { LayerPrinter, Machine, MaterialFamily } from '@core/record/model';
import { NORMAL_95 } from '@core/record/workshop';

import { SCATTER_DEGREES } from './habits';
import { robustly } from './robust';

/** How far a first layer was found to spread on each side, mm: what was taken back, and half of what the foot differs from what stands above it. */
export interface ElephantFoot {
  id: string;
  trialId: string;
  mm: number;
  /** Standard uncertainty through hand and display. */
  handMm: number;
}

/** What is believed of a printer's first layer, mm. */
export interface LearnedSpread {
  mm: number;
  /** Nineteen times of twenty. */
  plusMinusMm: number;
  count: number;
  /** Spreads that are taken for odd. */
  odd: readonly string[];
}

/** How far a printer's stated spread may be off before anything was measured, one standard deviation, mm: by how high its nozzle was set. */
const STATED_DOUBT_MM = 0.12;

/**
 * How far a printer's first layer spreads, from what was measured at the foot: one number, believed to be what the printer's row states until it is
 * measured; its scatter is that of the machine's outsides, halved with the difference (normal-inverse-gamma, robust to odd makes). Null where
 * nothing was measured.
 */
export function firstLayerLearned(
  printer: LayerPrinter,
  machine: Pick<Machine, 'scatterMm'>,
  found: readonly ElephantFoot[],
): LearnedSpread | null {
  if (found.length === 0) return null;
  // Of half the difference between two sizes that scatter alike.
  const statedMm = machine.scatterMm / Math.SQRT2;
  const { belief, odd } = robustly(
    found.map(({ id, trialId, mm, handMm }) => ({ id, trialId, design: [1], value: mm, handMm })),
    statedMm,
    (scatterMm) => ({
      mean: [printer.firstLayerSpreadMm],
      spread: [[STATED_DOUBT_MM ** 2 / scatterMm ** 2]],
      shape: SCATTER_DEGREES / 2,
      rate: (SCATTER_DEGREES / 2) * statedMm ** 2,
    }),
  );
  const variance = belief.rate / belief.shape;
  return {
    // A first layer does not draw in.
    mm: Math.min(1, Math.max(0, belief.mean[0]!)),
    plusMinusMm: NORMAL_95 * Math.sqrt(variance * belief.spread[0]![0]!),
    count: found.length - odd.length,
    odd,
  };
}

/** A printer with what was learned of its first layer with a family of material; null forgets it. */
export function printerThatLearned(
  printer: LayerPrinter,
  family: MaterialFamily,
  learned: LearnedSpread | null,
): LayerPrinter {
  const { learnedSpreads = [], ...rest } = printer;
  const others = learnedSpreads.filter((one) => one.family !== family);
  const own =
    learned && learned.count > 0
      ? [{ family, mm: learned.mm, plusMinusMm: learned.plusMinusMm, count: learned.count }]
      : [];
  const all = [...others, ...own];
  return all.length === 0 ? rest : { ...rest, learnedSpreads: all };
}

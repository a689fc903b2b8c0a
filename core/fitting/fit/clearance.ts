import { FitClass, type Fit, type FitTable } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { limitsOf, toleranceFactorMm } from '@core/foundations/standards';
import { REFERENCE_MM } from '@core/record/workshop';

/** A clearance on the diameter that is aimed at, and what would still go as wished. mm; negative is tight. */
export interface Clearance {
  aimMm: number;
  fromMm: number;
  toMm: number;
}

/**
 * How much a clearance grows with size: as the standard tolerance factor of ISO 286-1 does, from the 6 mm of the
 * tables. The factor is stated for 3 to 500 mm and is held at its ends.
 */
export function growth(diameterMm: number): number {
  const within = Math.min(500, Math.max(3, diameterMm));
  return toleranceFactorMm(within) / toleranceFactorMm(REFERENCE_MM);
}

/** Clearance of a class on the diameter at a size, mm, to 0.01 mm (0.001 mm where the table is that fine). */
export function classClearanceMm(table: FitTable, fitClass: FitClass, diameterMm: number): number {
  return roundTo(table.clearances[fitClass] * growth(diameterMm), stepOf(table));
}

/** Steps in which a process is told: cutting in thousandths, all else in hundredths of a millimetre. */
export const stepOf = ({ process }: Pick<FitTable, 'process'>) => (process === 'machining' ? 0.001 : 0.01);

/**
 * What a class aims at and what still feels like it: to either side as far as it is half way to the next classes,
 * on average of both. So a class's own value is the middle of what is wished, and no other one is better to aim at. The
 * first and the last reach as far outwards as inwards.
 */
export function classClearance(table: FitTable, fitClass: FitClass, diameterMm: number): Clearance {
  const order = FitClass.options;
  const at = (index: number) => classClearanceMm(table, order[index]!, diameterMm);
  const place = order.indexOf(fitClass);
  const aimMm = at(place);
  const halves = [place - 1, place + 1]
    .filter((other) => other >= 0 && other < order.length)
    .map((other) => Math.abs(at(other) - aimMm) / 2);
  const half = halves.reduce((sum, one) => sum + one, 0) / halves.length;
  return { aimMm, fromMm: aimMm - half, toMm: aimMm + half };
}

/** Nominal sizes are round ones: in half millimetres, or in sixteenths of an inch. */
const ROUND_STEPS_MM = [0.5, 25.4 / 16];

/**
 * The nominal size of something made to a tolerance class, mm, from what it measures: a round one in whose zone that lies,
 * else as far off as the middle of the zone is. A p6 shaft of 30.035 is one of 30, whose zone is that of up to 30.
 */
export function nominalOf(toleranceClass: string, measuredMm: number): number {
  for (const step of ROUND_STEPS_MM) {
    const around = Math.round(measuredMm / step);
    for (const count of [around, around - 1, around + 1]) {
      const limits = count > 0 ? limitsOf(toleranceClass, count * step) : null;
      if (!limits) continue;
      const off = measuredMm - count * step;
      if (off >= limits.lowerMm - ZONE_SLACK_MM && off <= limits.upperMm + ZONE_SLACK_MM)
        return roundTo(count * step, 1e-6);
    }
  }
  const limits = limitsOf(toleranceClass, measuredMm);
  return limits ? measuredMm - (limits.lowerMm + limits.upperMm) / 2 : measuredMm;
}

/** A reading may lie outside the zone by what a display rounds away, mm. */
const ZONE_SLACK_MM = 0.005;

/** The clearance of a fit at a size: typed, by ISO 286 limits, or by its class. */
export function clearanceOf(fit: Fit, table: FitTable, diameterMm: number, inside: boolean): Clearance {
  if (fit.iso) {
    const nominalMm = nominalOf(inside ? fit.iso.shaft : fit.iso.hole, diameterMm);
    const [hole, shaft] = [limitsOf(fit.iso.hole, nominalMm), limitsOf(fit.iso.shaft, nominalMm)];
    if (hole && shaft) {
      const [fromMm, toMm] = [hole.lowerMm - shaft.upperMm, hole.upperMm - shaft.lowerMm];
      // What was measured lies in its own zone, so the aim is the middle of what the pair allows, not of one zone.
      return { aimMm: roundTo((fromMm + toMm) / 2, 0.001), fromMm, toMm };
    }
  }
  const byClass = classClearance(table, fit.fitClass, diameterMm);
  if (fit.ownClearanceMm === null) return byClass;
  // A typed clearance is wished as closely as its class would be.
  const half = (byClass.toMm - byClass.fromMm) / 2;
  return { aimMm: fit.ownClearanceMm, fromMm: fit.ownClearanceMm - half, toMm: fit.ownClearanceMm + half };
}

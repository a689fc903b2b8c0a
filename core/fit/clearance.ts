import { FitClass, type Fit, type FitTable } from '@core/model';
import { roundTo } from '@core/quantity';
import { limitsOf, toleranceFactorMm } from '@core/standards';
import { REFERENCE_MM } from '@core/workshop';

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
 * What a class aims at and what still feels like it: up to half way to the next class on either side. The first
 * and the last reach as far outwards as inwards.
 */
export function classClearance(table: FitTable, fitClass: FitClass, diameterMm: number): Clearance {
  const order = FitClass.options;
  const at = (index: number) => classClearanceMm(table, order[index]!, diameterMm);
  const place = order.indexOf(fitClass);
  const aimMm = at(place);
  const looser = place > 0 ? (at(place - 1) + aimMm) / 2 : null;
  const tighter = place < order.length - 1 ? (aimMm + at(place + 1)) / 2 : null;
  return {
    aimMm,
    fromMm: tighter ?? 2 * aimMm - looser!,
    toMm: looser ?? 2 * aimMm - tighter!,
  };
}

/** The clearance of a fit at a size: typed, by ISO 286 limits, or by its class. */
export function clearanceOf(fit: Fit, table: FitTable, diameterMm: number, inside: boolean): Clearance {
  if (fit.iso) {
    const [hole, shaft] = [limitsOf(fit.iso.hole, diameterMm), limitsOf(fit.iso.shaft, diameterMm)];
    if (hole && shaft) {
      const own = inside ? hole : shaft;
      const middle = (own.upperMm + own.lowerMm) / 2;
      return {
        // The counterpart is what was measured, so only the spare's own limits move the aim.
        aimMm: roundTo(inside ? middle : -middle, 0.001),
        fromMm: hole.lowerMm - shaft.upperMm,
        toMm: hole.upperMm - shaft.lowerMm,
      };
    }
  }
  const byClass = classClearance(table, fit.fitClass, diameterMm);
  if (fit.ownClearanceMm === null) return byClass;
  // A typed clearance is wished as closely as its class would be.
  const half = (byClass.toMm - byClass.fromMm) / 2;
  return { aimMm: fit.ownClearanceMm, fromMm: fit.ownClearanceMm - half, toMm: fit.ownClearanceMm + half };
}

import type { Filament, FitTable, LayerSet, Machine, Material, Resin } from '@core/record/model';
import { FIT_CLASSES } from '@core/reporting/wording';

import type { useShow } from '../preferences/useShow';
import { FAMILY_WORDS } from './words';

/** "inside +0.05, outside −0.03" and what shrinks. */
export function correctionsOf({ corrections, shrinkage }: Machine, show: ReturnType<typeof useShow>): string {
  const parts = corrections
    .filter(({ offsetMm, scale }) => offsetMm !== 0 || scale !== 0)
    .map(
      ({ feature, offsetMm, scale }) =>
        `${feature} ${show.signed(offsetMm)}${scale === 0 ? '' : ` and ${(scale * 100).toFixed(2)} %`}`,
    );
  if (shrinkage) parts.push(`shrinks ${(shrinkage.x * 100).toFixed(1)} %`);
  return parts.length === 0 ? 'no corrections' : parts.join(', ');
}

/** "loose +0.30 · turns +0.18" */
export const clearancesOf = ({ clearances }: FitTable): string =>
  FIT_CLASSES.map(({ id, word }) => `${word.toLowerCase()} ${signedFine(clearances[id])}`).join(' · ');

/** Clearances are reported in hundredths, in thousandths where they are that fine. */
function signedFine(mm: number): string {
  const digits = Math.abs(mm * 100 - Math.round(mm * 100)) > 1e-9 ? 3 : 2;
  return `${mm < 0 ? '−' : '+'}${Math.abs(mm).toFixed(digits)}`;
}

/** "nozzle 240 °C, bed 80 °C, 22.00 a kg" */
export const filamentNote = ({ nozzleC, bedC, pricePerKg }: Filament): string =>
  `nozzle ${nozzleC} °C, bed ${bedC} °C, ${pricePerKg.toFixed(2)} a kg`;

/** "layers of 0.2 mm, 3 walls, filled by 20 %" */
export const layerSetNote = ({ layerMm, walls, fillShare, singleWall }: LayerSet): string =>
  `layer height ${layerMm} mm, ${singleWall ? 'one wall, open on top' : `${walls} walls, ${Math.round(100 * fillShare)} % infill`}`;

/** "2.5 s for a layer of 0.05 mm, 45.00 a kg" */
export const resinNote = ({ exposureSeconds, pricePerKg }: Resin): string =>
  `${exposureSeconds} s for a layer of 0.05 mm, ${pricePerKg.toFixed(2)} a kg`;

/** "hard plastic, 1.27 g/cm³, stiffness 2.1 GPa" */
export const materialNote = ({ family, density, modulusMpa }: Material): string =>
  `${FAMILY_WORDS[family]}, ${density} g/cm³, stiffness ${Number((modulusMpa / 1000).toPrecision(2))} GPa`;

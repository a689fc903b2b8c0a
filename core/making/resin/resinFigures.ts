import { ENERGY_PRICE, type PartFigures } from '@core/making/printing';

import type { ResinJob } from './resinJob';

/** What a job in resin takes. */
export interface ResinFigures {
  layers: number;
  minutes: number;
  /** Of light, and of the plate's rising and the resin's coming to rest. */
  lightMinutes: number;
  liftMinutes: number;
  grams: number;
  cost: { material: number; energy: number; machine: number; whole: number };
  /** In the order of the parts on the bed: all share the same minutes. */
  parts: PartFigures[];
}

/**
 * @param partMm3 what each part takes with its supports.
 * @param density of the resin, g/cm³.
 */
export function resinFigures(
  { layers, printer, resin }: ResinJob,
  partMm3: readonly number[],
  density: number,
): ResinFigures {
  const light = layers.reduce((sum, { seconds }) => sum + seconds, 0);
  const lift = layers.length * ((2 * printer.liftMm) / printer.liftSpeed + printer.restSeconds);
  const minutes = (light + lift) / 60;
  const gramsOf = (mm3: number) => (mm3 * density) / 1000;
  const grams = gramsOf(partMm3.reduce((sum, mm3) => sum + mm3, 0));
  const cost = {
    material: (grams / 1000) * resin.pricePerKg,
    energy: (printer.watts / 1000) * (minutes / 60) * ENERGY_PRICE,
    machine: (minutes / 60) * printer.pricePerHour,
  };
  return {
    layers: layers.length,
    minutes,
    lightMinutes: light / 60,
    liftMinutes: lift / 60,
    grams,
    cost: { ...cost, whole: cost.material + cost.energy + cost.machine },
    parts: partMm3.map((mm3) => ({ minutes, grams: gramsOf(mm3) })),
  };
}

import type { Resin, Workshop } from '@core/record/model';

/** Resins that are cured by light. */
export const RESINS: readonly Resin[] = [
  {
    version: 1,
    removed: false,
    id: 'resin',
    exposureSeconds: 2.5,
    penetrationMm: 0.14,
    footSeconds: 28,
    footLayers: 5,
    pricePerKg: 45,
    dripMinutes: 10,
    washMinutes: 6,
    cureMinutes: 15,
    source: 'middle of makers’ data sheets for tough resin on monochrome screens',
  },
];

/** How a material is cured in layers; null for what is no resin, as far as the workshop knows. */
export function resinIn(workshop: Workshop, materialId: string): Resin | null {
  const resins = workshop.resins ?? RESINS;
  return resins.find(({ id, removed }) => id === materialId && !removed) ?? null;
}

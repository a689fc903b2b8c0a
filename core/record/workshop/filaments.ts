import type { Filament, Workshop } from '@core/record/model';

const SOURCE = 'middle of makers’ data sheets for filament';

const row = (
  id: string,
  nozzleC: number,
  bedC: number,
  pricePerKg: number,
  mostFlow: number,
  leastLayerSeconds: number,
  fan: number,
): Filament => ({
  version: 1,
  removed: false,
  id,
  nozzleC,
  bedC,
  pricePerKg,
  mostFlow,
  leastLayerSeconds,
  fan,
  source: SOURCE,
});

/** Plastics that come as filament. */
export const FILAMENTS: readonly Filament[] = [
  row('petg', 240, 80, 22, 11, 8, 0.5),
  row('pla', 210, 60, 20, 14, 6, 1),
  row('abs', 245, 100, 22, 13, 8, 0.2),
  row('asa', 250, 100, 28, 13, 8, 0.2),
  row('pa12', 260, 90, 60, 9, 8, 0.2),
  row('pp', 235, 90, 40, 8, 10, 0.5),
  row('pc', 275, 110, 40, 10, 8, 0.1),
  row('tpu', 225, 45, 35, 4, 10, 0.5),
];

/** How a material is laid in layers; null for what does not come as filament, as far as the workshop knows. */
export function filamentIn(workshop: Workshop, materialId: string): Filament | null {
  const filaments = workshop.filaments ?? FILAMENTS;
  return filaments.find(({ id, removed }) => id === materialId && !removed) ?? null;
}

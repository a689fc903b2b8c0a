/** How a material is laid in layers. */
export interface LayerMaterial {
  /** Of the material. */
  id: string;
  nozzleC: number;
  bedC: number;
  /** In the workshop's money, a kg. */
  pricePerKg: number;
  /** How much of it a usual nozzle melts, mm³/s. */
  mostFlow: number;
  /** A layer takes at least so long, or it is still soft when the next one comes, s. */
  leastLayerSeconds: number;
  /** Share of the fan. */
  fan: number;
  source: string;
}

const SOURCE = 'middle of makers’ data sheets for filament';

const row = (
  id: string,
  nozzleC: number,
  bedC: number,
  pricePerKg: number,
  mostFlow: number,
  leastLayerSeconds: number,
  fan: number,
): LayerMaterial => ({ id, nozzleC, bedC, pricePerKg, mostFlow, leastLayerSeconds, fan, source: SOURCE });

export const LAYER_MATERIALS: readonly LayerMaterial[] = [
  row('petg', 240, 80, 22, 11, 8, 0.5),
  row('pla', 210, 60, 20, 14, 6, 1),
  row('abs', 245, 100, 22, 13, 8, 0.2),
  row('asa', 250, 100, 28, 13, 8, 0.2),
  row('pa12', 260, 90, 60, 9, 8, 0.2),
  row('pp', 235, 90, 40, 8, 10, 0.5),
  row('pc', 275, 110, 40, 10, 8, 0.1),
  row('tpu', 225, 45, 35, 4, 10, 0.5),
];

/** How a material is laid in layers; null for what is not sold as filament. */
export function layerMaterialOf(materialId: string): LayerMaterial | null {
  return LAYER_MATERIALS.find(({ id }) => id === materialId) ?? null;
}

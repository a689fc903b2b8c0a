import type { RepairState } from '@core/record/model';

/** A repair of nothing but what a figure is drawn from. */
export const figureState = (
  name: string,
  parts: Pick<RepairState, 'bodies'> & Partial<Pick<RepairState, 'sizes' | 'fits'>>,
): RepairState => ({
  head: {
    id: 'figure',
    version: 1,
    name,
    place: '',
    whatBroke: '',
    materialId: 'petg',
    machineId: 'bench-printer',
    createdAt: '2026-01-01T00:00:00.000Z',
    removed: false,
  },
  sizes: [],
  readings: [],
  layouts: [],
  fits: [],
  chains: [],
  photos: [],
  ...parts,
});

import type { ResinPrinter, Workshop } from '@core/record/model';

const degree = Math.PI / 180;

const usual = {
  version: 1,
  removed: false,
  layerMm: [0.02, 0.1] as [number, number],
  restSeconds: 1.5,
  smallestWallMm: 0.4,
  overhang: 55 * degree,
  firstLayerSpreadMm: 0.06,
  watts: 60,
};

/** Generic printers with a lit screen; each figure is a middle of what such machines are sold with. */
export const RESIN_PRINTERS: readonly ResinPrinter[] = [
  {
    ...usual,
    id: 'resin-printer',
    envelopeMm: [153, 86, 165],
    pixels: [3060, 1720],
    liftMm: 6,
    liftSpeed: 2,
    pricePerHour: 0.35,
    source: 'a bench printer with a monochrome screen, usual figures',
  },
  {
    ...usual,
    id: 'wide-resin-printer',
    envelopeMm: [218, 123, 250],
    pixels: [4360, 2460],
    liftMm: 8,
    liftSpeed: 3,
    watts: 140,
    pricePerHour: 0.7,
    source: 'a larger printer with a monochrome screen, usual figures',
  },
];

/** What a machine of the workshop can do as a resin printer; null if nobody said. */
export function resinPrinterIn(workshop: Workshop, machineId: string): ResinPrinter | null {
  const printers = workshop.resinPrinters ?? RESIN_PRINTERS;
  return printers.find(({ id, removed }) => id === machineId && !removed) ?? null;
}

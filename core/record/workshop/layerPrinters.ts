import type { LayerPrinter, MaterialFamily, Workshop } from '@core/record/model';

const degree = Math.PI / 180;

const usual = {
  version: 1,
  removed: false,
  filamentMm: 1.75,
  nozzleMm: 0.4,
  layerMm: [0.08, 0.32] as [number, number],
  takesArcs: true,
  retractMm: 0.8,
  retractSpeed: 35,
  hottestNozzleC: 280,
  hottestBedC: 110,
  firstLayerSpreadMm: 0.1,
  overhang: 48 * degree,
  bridgeMm: 12,
  startGcode: ['G28'],
  endGcode: ['M104 S0', 'M140 S0', 'M107', 'M84'],
};

/** Generic printers of different speed; each figure is a middle of what such machines are sold with. */
export const LAYER_PRINTERS: readonly LayerPrinter[] = [
  {
    ...usual,
    id: 'bench-printer',
    envelopeMm: [220, 220, 250],
    speeds: {
      outerWall: 40,
      innerWall: 60,
      skin: 60,
      fill: 80,
      bridge: 30,
      support: 70,
      travel: 150,
      firstLayer: 20,
      rise: 10,
    },
    acceleration: 1000,
    junctionSpeed: 8,
    warmUpSeconds: 240,
    watts: 120,
    pricePerHour: 0.15,
    source: 'a bench printer with a moving bed, usual figures',
  },
  {
    ...usual,
    id: 'quick-printer',
    envelopeMm: [250, 250, 250],
    hottestNozzleC: 300,
    speeds: {
      outerWall: 120,
      innerWall: 200,
      skin: 180,
      fill: 220,
      bridge: 50,
      support: 150,
      travel: 350,
      firstLayer: 50,
      rise: 15,
    },
    acceleration: 6000,
    junctionSpeed: 12,
    warmUpSeconds: 200,
    watts: 180,
    pricePerHour: 0.4,
    source: 'an enclosed printer with light moving parts, usual figures',
  },
  {
    ...usual,
    id: 'wide-printer',
    envelopeMm: [400, 400, 450],
    nozzleMm: 0.6,
    layerMm: [0.12, 0.48],
    retractMm: 1.2,
    speeds: {
      outerWall: 45,
      innerWall: 60,
      skin: 60,
      fill: 70,
      bridge: 30,
      support: 60,
      travel: 160,
      firstLayer: 22,
      rise: 8,
    },
    acceleration: 800,
    junctionSpeed: 7,
    warmUpSeconds: 480,
    watts: 350,
    pricePerHour: 0.5,
    source: 'a large printer with a wider nozzle, usual figures',
  },
];

/** What a machine does as a layer printer with a family of material: its first layer spreads as was learned of that. Null if nobody said. */
export function layerPrinterFor(
  workshop: Workshop,
  machineId: string,
  family: MaterialFamily,
): LayerPrinter | null {
  const printer = layerPrinterIn(workshop, machineId);
  const learned = printer?.learnedSpreads?.find((one) => one.family === family);
  return printer && learned ? { ...printer, firstLayerSpreadMm: learned.mm } : printer;
}

/** What a machine of the workshop can do as a layer printer; null if nobody said. */
export function layerPrinterIn(workshop: Workshop, machineId: string): LayerPrinter | null {
  const printers = workshop.layerPrinters ?? LAYER_PRINTERS;
  return printers.find(({ id, removed }) => id === machineId && !removed) ?? null;
}

/** A line is so much wider than the nozzle's hole. */
const LINE_BY_NOZZLE = 1.1;

/** How wide a printer's lines are, mm: to a hundredth. */
export const lineBreadthMm = ({ nozzleMm }: Pick<LayerPrinter, 'nozzleMm'>): number =>
  Math.round(LINE_BY_NOZZLE * nozzleMm * 100) / 100;

/**
 * What a layer printer can do. Lengths in mm, speeds in mm/s, accelerations in mm/s², temperatures in °C.
 */
export interface LayerMachine {
  /** Of the workshop's machine. */
  id: string;
  /** Envelope along x, y and z; x and y are counted from the corner in front on the left. */
  envelopeMm: readonly [number, number, number];
  nozzleMm: number;
  filamentMm: number;
  /** Lowest and highest layer that its nozzle lays well. */
  layerMm: readonly [number, number];
  speeds: {
    outerWall: number;
    innerWall: number;
    skin: number;
    fill: number;
    bridge: number;
    support: number;
    travel: number;
    firstLayer: number;
    rise: number;
  };
  acceleration: number;
  /** The largest sudden change of velocity: at a corner it goes on with as much speed as keeps the change below this. */
  junctionSpeed: number;
  retractMm: number;
  retractSpeed: number;
  /** From cold to ready, with the way to the first line, s. */
  warmUpSeconds: number;
  /** Heating, motors and fans while it works, W. */
  watts: number;
  /** Wear and its price over its life, in the workshop's money, an hour. */
  pricePerHour: number;
  hottestNozzleC: number;
  hottestBedC: number;
  firstLayerSpreadMm: number;
  /** How far from upright a wall may lean out, radians. */
  overhang: number;
  bridgeMm: number;
  startGcode: readonly string[];
  endGcode: readonly string[];
  source: string;
}

const degree = Math.PI / 180;

const usual = {
  filamentMm: 1.75,
  nozzleMm: 0.4,
  layerMm: [0.08, 0.32],
  retractMm: 0.8,
  retractSpeed: 35,
  hottestNozzleC: 280,
  hottestBedC: 110,
  firstLayerSpreadMm: 0.1,
  overhang: 48 * degree,
  bridgeMm: 12,
  startGcode: ['G28'],
  endGcode: ['M104 S0', 'M140 S0', 'M107', 'M84'],
} as const;

/** Generic printers of different speed; each figure is a middle of what such machines are sold with. */
export const LAYER_MACHINES: readonly LayerMachine[] = [
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
    source: 'a large printer with a broader nozzle, usual figures',
  },
];

/** What the workshop's machine can do as a layer printer; null if it is none that is known. */
export function layerMachineOf(machineId: string): LayerMachine | null {
  return LAYER_MACHINES.find(({ id }) => id === machineId) ?? null;
}

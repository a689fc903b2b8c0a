import { z } from 'zod';

import { INFILL_PATTERNS, Id, line, name } from '@core/foundations/fields';

import { MaterialFamily } from './workshop';

const version = z.int().nonnegative();
const removed = z.boolean();
const within = (least: number, most: number) => z.number().min(least).max(most);
const speed = within(1, 2000);
const side = within(10, 5000);
const height = within(0.02, 3);

/** Commands that a printer understands, one a line. */
const commands = z.array(line(200)).max(200);

/**
 * What a machine can do as a layer printer; its id is the machine's. Lengths in mm, speeds in mm/s, accelerations in mm/s²,
 * temperatures in °C, angles in radians.
 */
export const LayerPrinter = z.strictObject({
  id: Id,
  version,
  /** Envelope along x, y and z; x and y are counted from the corner in front on the left. */
  envelopeMm: z.tuple([side, side, side]),
  nozzleMm: within(0.1, 3),
  filamentMm: within(1, 4),
  /** Lowest and highest layer that its nozzle lays well. */
  layerMm: z.tuple([height, height]),
  speeds: z.strictObject({
    outerWall: speed,
    innerWall: speed,
    skin: speed,
    fill: speed,
    bridge: speed,
    support: speed,
    travel: speed,
    firstLayer: speed,
    rise: speed,
  }),
  acceleration: within(50, 100_000),
  /** The largest sudden change of velocity: at a corner it goes on with as much speed as keeps the change below this. */
  junctionSpeed: within(0.1, 200),
  /** It understands arcs (G2 and G3 by their centre); not where nothing is said. */
  takesArcs: z.boolean().optional(),
  /** So many lines of a job it takes in within a second; 100 where nothing is said. */
  linesPerSecond: within(5, 5000).optional(),
  retractMm: within(0, 20),
  retractSpeed: within(1, 300),
  /** From cold to ready, with the way to the first line, s. */
  warmUpSeconds: within(0, 7200),
  /** Heating, motors and fans while it works, W. */
  watts: within(0, 10_000),
  /** Wear and its price over its life, in the workshop's money, an hour. */
  pricePerHour: within(0, 10_000),
  hottestNozzleC: within(100, 600),
  hottestBedC: within(0, 250),
  /** How far the first layer spreads on each side, where nothing was learned of a material. */
  firstLayerSpreadMm: within(0, 1),
  /** The same, as it was learned from what was measured at the foot, by family of material. */
  learnedSpreads: z
    .array(
      z.strictObject({
        family: MaterialFamily,
        mm: within(0, 1),
        plusMinusMm: within(0, 10),
        count: z.int().positive(),
      }),
    )
    .max(20)
    .optional(),
  /** How far from upright a wall may lean out. */
  overhang: within(0.1, 1.5),
  bridgeMm: within(0, 500),
  startGcode: commands,
  endGcode: commands,
  /** Where its figures are from. */
  source: line(120),
  removed,
});
export type LayerPrinter = z.infer<typeof LayerPrinter>;

/** How a material is laid in layers; its id is the material's. Temperatures in °C. */
export const Filament = z.strictObject({
  id: Id,
  version,
  nozzleC: within(100, 600),
  bedC: within(0, 250),
  /** In the workshop's money, a kg. */
  pricePerKg: within(0, 100_000),
  /** How much of it a usual nozzle melts, mm³/s. */
  mostFlow: within(0.1, 500),
  /** A layer takes at least so long, or it is still soft when the next one comes, s. */
  leastLayerSeconds: within(0, 600),
  /** Share of the fan. */
  fan: within(0, 1),
  source: line(120),
  removed,
});
export type Filament = z.infer<typeof Filament>;

/** Settings for laying a part in layers, kept under a name. Lengths in mm, shares from 0 to 1. */
export const LayerSet = z.strictObject({
  id: Id,
  version,
  name,
  layerMm: height,
  firstLayerMm: height,
  walls: z.int().min(1).max(50),
  /** Solid layers below each top and above each bottom. */
  topLayers: z.int().min(0).max(200),
  bottomLayers: z.int().min(0).max(200),
  fill: z.enum(INFILL_PATTERNS),
  fillShare: within(0, 1),
  /** Breadth of a brim, radius of an ear. */
  footMm: within(1, 50),
  /** One wall that rises without a seam, on a solid bottom; nothing inside and no top. */
  singleWall: z.boolean(),
  removed,
});
export type LayerSet = z.infer<typeof LayerSet>;

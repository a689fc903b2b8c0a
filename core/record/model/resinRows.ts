import { z } from 'zod';

import { Id, line, name } from '@core/foundations/fields';

const version = z.int().nonnegative();
const removed = z.boolean();

const within = (least: number, most: number) => z.number().min(least).max(most);
const side = within(10, 5000);
const height = within(0.01, 0.5);

/** What a machine can do as a resin printer that lights whole layers; its id is the machine's. Lengths in mm, speeds in mm/s, angles in radians. */
export const ResinPrinter = z.strictObject({
  id: Id,
  version,
  /** Of what it lights, and how far its plate rises. */
  envelopeMm: z.tuple([side, side, side]),
  /** Of its screen, across and deep. */
  pixels: z.tuple([z.int().min(100).max(20_000), z.int().min(100).max(20_000)]),
  /** Lowest and highest layer that it lays well. */
  layerMm: z.tuple([height, height]),
  /** How far the plate rises to let resin in, and how fast it goes. */
  liftMm: within(0.5, 50),
  liftSpeed: within(0.1, 50),
  /** Until the resin lies still again, s. */
  restSeconds: within(0, 60),
  /** Thinner walls tear when the plate rises. */
  smallestWallMm: within(0.05, 3),
  /** How far from upright a wall may lean out. */
  overhang: within(0.1, 1.5),
  /** How far the first layers spread by light that strays, on each side. */
  firstLayerSpreadMm: within(0, 1),
  watts: within(0, 10_000),
  /** Wear of screen and film over their lives, in the workshop's money, an hour. */
  pricePerHour: within(0, 10_000),
  /** Where its figures are from. */
  source: line(120),
  removed,
});
export type ResinPrinter = z.infer<typeof ResinPrinter>;

/** How a resin is cured; its id is the material's. */
export const Resin = z.strictObject({
  id: Id,
  version,
  /** Light for a layer of 0.05 mm, s. */
  exposureSeconds: within(0.1, 600),
  /** Depth over which its light falls to 1/e, mm: higher layers need more of it. */
  penetrationMm: within(0.02, 2),
  /** Light for each of the first layers, which have to hold on to the plate, s, and how many these are. */
  footSeconds: within(0.1, 3600),
  footLayers: z.int().min(0).max(100),
  /** In the workshop's money, a kg. */
  pricePerKg: within(0, 100_000),
  dripMinutes: within(0, 1440),
  washMinutes: within(0, 1440),
  cureMinutes: within(0, 1440),
  source: line(120),
  removed,
});
export type Resin = z.infer<typeof Resin>;

/** Settings for laying a part in resin, kept under a name. Lengths in mm. */
export const ResinSet = z.strictObject({
  id: Id,
  version,
  name,
  layerMm: height,
  /** Supports: how thick, how thick where they touch the part, and how far from each other. */
  pillarMm: within(0.2, 5),
  tipMm: within(0.1, 3),
  apartMm: within(0.5, 20),
  removed,
});
export type ResinSet = z.infer<typeof ResinSet>;

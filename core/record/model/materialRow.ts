import { z } from 'zod';

import { GRADES, Id, line, name, RESISTANCES } from '@core/foundations/fields';

import { MaterialFamily } from './workshop';

const within = (least: number, most: number) => z.number().min(least).max(most);

/** What spares are made of, solid. */
export const Material = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  family: MaterialFamily,
  /** g/cm³ */
  density: within(0.05, 25),
  /** Strain that a tongue may be bent to again and again: half of the strain at yield. */
  strain: within(0.0001, 2),
  /** Young's modulus, MPa: how stiff it is. */
  modulusMpa: within(1, 500_000),
  /** Stress at yield (ISO 527) of the solid material, MPa; absent in rows of before 30 November 2026, and where nobody knows it. */
  yieldMpa: within(0.1, 5000).optional(),
  /** What it bears across layers, as a share of what it bears along them; 1 of what has none. */
  across: within(0.05, 1),
  /** Where it gives under a light load (ISO 75, 0.45 MPa), °C; null for what is out of the question in a household. */
  softensAtC: within(-50, 3000).nullable(),
  /** How much it shrinks from being formed to cold, as a share; null for what is cut from stock. */
  shrinks: within(0, 0.3).nullable(),
  /** How it stands sun, water, food and so on, where that was said; as its family does where it was not. */
  stands: z.partialRecord(z.enum(RESISTANCES), z.enum(GRADES)).optional(),
  /** What a person wants to remember of it. */
  notes: line(200),
  source: line(200),
  removed: z.boolean(),
});
export type Material = z.infer<typeof Material>;

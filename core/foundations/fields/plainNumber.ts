import { z } from 'zod';

import { FormulaValue, SizeValue } from './value';

/** What a number of a step is that is no length: an angle (radians), a whole number, or a factor. */
export type PlainQuantity = 'angle' | 'count' | 'factor';

/** ... taken from a size or a formula, so that it follows when a reading changes. */
export const TakenNumber = z.discriminatedUnion('from', [SizeValue, FormulaValue]);
export type TakenNumber = z.infer<typeof TakenNumber>;

/** A number of a step that is no length: typed in place (angles in radians), or taken. */
export type PlainNumber = number | TakenNumber;

export interface PlainBounds {
  quantity: PlainQuantity;
  least: number;
  most: number;
}

/** The bounds of every such number, by its schema. */
export const PLAIN_NUMBERS = z.registry<PlainBounds>();

const within = (quantity: PlainQuantity, number: z.ZodNumber, least: number, most: number) =>
  z.union([number.min(least).max(most), TakenNumber]).register(PLAIN_NUMBERS, { quantity, least, most });

/** An angle, radians. */
export const angleWithin = (least: number, most: number) => within('angle', z.number(), least, most);
/** A whole number. */
export const countWithin = (least: number, most: number) => within('count', z.int(), least, most);
/** A factor, or another number without a unit. */
export const factorWithin = (least: number, most: number) => within('factor', z.number(), least, most);

/** Whether a number comes from a size or a formula. */
export const isTaken = (value: unknown): value is TakenNumber =>
  typeof value === 'object' && value !== null && 'from' in value;

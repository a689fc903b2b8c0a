import { z } from 'zod';

import { Id, line, MODEL_LIMIT_MM, name } from './ids';

/**
 * A number in a recipe: typed in place, or taken from a size, from the working size of a fit, from a formula or
 * from a point of a layout, so that it follows when a reading changes. Lengths in mm.
 */
export const Value = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('number'), mm: z.number().min(-MODEL_LIMIT_MM).max(MODEL_LIMIT_MM) }),
  z.strictObject({ from: z.literal('size'), id: Id }),
  z.strictObject({ from: z.literal('fit'), id: Id }),
  /** A sum or a formula over sizes, kept as typed; `unit` is the unit of bare numbers in it. */
  z.strictObject({ from: z.literal('formula'), text: line(200), unit: z.enum(['mm', 'cm', 'in']) }),
  /** Where the adjusted layout puts a point, along x or y. */
  z.strictObject({ from: z.literal('layout'), id: Id, point: Id, axis: z.enum(['x', 'y']) }),
]);
export type Value = z.infer<typeof Value>;

const step = { id: Id, note: line(200).optional() };

/** Disc or cylinder turned about the axle line (z), standing on z = 0. */
export const TurnStep = z.strictObject({ ...step, kind: z.literal('turn'), diameter: Value, width: Value });

/** Plate lying on z = 0, centred on the axle line, with its corners rounded as seen in plan. */
export const PlateStep = z.strictObject({
  ...step,
  kind: z.literal('plate'),
  length: Value,
  breadth: Value,
  thickness: Value,
  cornerRadius: Value,
});

/** Peg raised from the top of what is there, standing at (x, y) from the axle line. */
export const PegStep = z.strictObject({
  ...step,
  kind: z.literal('peg'),
  diameter: Value,
  height: Value,
  x: Value,
  y: Value,
});

/** Groove cut round the rim of a turned step, in the middle of its width. */
export const GrooveStep = z.strictObject({
  ...step,
  kind: z.literal('groove'),
  rimOf: Id,
  width: Value,
  depth: Value,
});

/** Round hole along z at (x, y): right through, or `depth` down from the top. */
export const DrillStep = z.strictObject({
  ...step,
  kind: z.literal('drill'),
  diameter: Value,
  depth: z.union([z.literal('through'), Value]),
  x: Value,
  y: Value,
});

/** Which edges a round or an ease takes: chosen by rule, so that the choice survives changes of size. */
export const EdgeRule = z.discriminatedUnion('edges', [
  /** Where the wall of a hole meets the outside. */
  z.strictObject({ edges: z.literal('mouths'), of: Id }),
  /** The outer edges of a turned step or a peg, or the top and bottom edges of a plate. */
  z.strictObject({ edges: z.literal('rims'), of: Id }),
]);
export type EdgeRule = z.infer<typeof EdgeRule>;

/** Flat 45° ease (chamfer), `size` measured along each face. */
export const EaseStep = z.strictObject({ ...step, kind: z.literal('ease'), size: Value, where: EdgeRule });

/** Round (fillet) of radius `size`. */
export const RoundStep = z.strictObject({ ...step, kind: z.literal('round'), size: Value, where: EdgeRule });

export const Step = z.discriminatedUnion('kind', [
  TurnStep,
  PlateStep,
  PegStep,
  GrooveStep,
  DrillStep,
  EaseStep,
  RoundStep,
]);
export type Step = z.infer<typeof Step>;
export type StepKind = Step['kind'];
export type StepOf<K extends StepKind> = Extract<Step, { kind: K }>;

export const BodyRole = z.enum(['spare', 'counterpart']);
export type BodyRole = z.infer<typeof BodyRole>;

/** A solid built by a recipe. Spares are made; counterparts are what they must fit, shown as ghosts. */
export const Body = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  role: BodyRole,
  steps: z.array(Step).max(500),
  removed: z.boolean(),
});
export type Body = z.infer<typeof Body>;

export const numberValue = (mm: number): Value => ({ from: 'number', mm });
export const sizeValue = (id: Id): Value => ({ from: 'size', id });
export const fitValue = (id: Id): Value => ({ from: 'fit', id });

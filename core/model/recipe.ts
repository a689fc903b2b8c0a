import { z } from 'zod';

import { Id, line, name } from './ids';
import { OutlineShape } from './outline';
import { Value } from './value';

/** `off`: kept in the recipe, and left out when it is built. */
const step = { id: Id, note: line(200).optional(), off: z.literal(true).optional() };

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

/** What a step does with the solid it makes: joins it, takes it away, or keeps what both have in common. */
export const Effect = z.enum(['add', 'cut', 'common']);
export type Effect = z.infer<typeof Effect>;

/**
 * Where a solid stands: its middle at (x, y) from the axle line; on the top of what is there (cuts go down from it),
 * or on z = 0 (cuts go up from it).
 */
const place = { on: z.enum(['top', 'bottom']), x: Value, y: Value };

/** Radians, a turn about the upright axis through its middle. */
const turn = z.number().min(-7).max(7);

/** An outline raised straight up to a height, or right through what is there. */
export const RaiseStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('raise'),
  effect: Effect,
  outline: OutlineShape,
  turn,
  height: z.union([z.literal('through'), Value]),
});

/** Cone or stump of one: `lower` and `upper` diameters, `height` apart; either may be zero. */
export const ConeStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('cone'),
  effect: Effect,
  lower: Value,
  upper: Value,
  height: Value,
});

/** Ball whose middle is `up` above what it is placed on. */
export const BallStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('ball'),
  effect: Effect,
  diameter: Value,
  up: Value,
});

/** Ring of round section: `across` the middle of the section, `thick`; the middle of the section `up` above its place. */
export const RingStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('ring'),
  effect: Effect,
  across: Value,
  thick: Value,
  up: Value,
});

/**
 * A shape turned about the upright axis of its place, read along it as calipers take it: heights above the place, and
 * the diameter at each; straight or smooth between.
 */
export const StationsStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('stations'),
  effect: Effect,
  rows: z
    .array(z.strictObject({ at: Value, diameter: Value }))
    .min(2)
    .max(60),
  between: z.enum(['straight', 'smooth']),
});

/** How often something is made, the first time included. */
const count = z.int().min(2).max(200);

/** What an earlier step made, again: evenly round the axle line, in a row, or at the points of a layout. */
export const RepeatStep = z.strictObject({
  ...step,
  kind: z.literal('repeat'),
  of: Id,
  pattern: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('round'), count }),
    z.strictObject({ by: z.literal('row'), count, dx: Value, dy: Value }),
    z.strictObject({ by: z.literal('layout'), id: Id }),
  ]),
});

/** All that is there, mirrored across the upright plane through the axle line: beside itself, or instead. */
export const MirrorStep = z.strictObject({
  ...step,
  kind: z.literal('mirror'),
  across: z.enum(['sides', 'frontBack']),
  keep: z.enum(['both', 'other']),
});

/** What is there, hollowed to an even wall and open at its level faces at the top, the bottom, or both. */
export const HollowStep = z.strictObject({
  ...step,
  kind: z.literal('hollow'),
  wall: Value,
  open: z.enum(['top', 'bottom', 'both']),
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
  /** The outer edges at the top and bottom of a step's own solid; of a cut, its mouths and the rim of its floor. */
  z.strictObject({ edges: z.literal('rims'), of: Id }),
  /** The upright edges of a plate or a raised outline, where its sides meet. */
  z.strictObject({ edges: z.literal('upright'), of: Id }),
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
  RaiseStep,
  ConeStep,
  BallStep,
  RingStep,
  StationsStep,
  RepeatStep,
  MirrorStep,
  HollowStep,
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

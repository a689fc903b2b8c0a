import { z } from 'zod';

import { DrawnOutline } from './drawnOutline';
import { Id } from './ids';
import { FacePick } from './place';
import { angleWithin, countWithin, factorWithin } from './plainNumber';
import { Value } from './value';

/** A plain outline, its middle where the step puts it. Numbers are lengths, mm. */
export const OutlineShape = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('circle'), diameter: Value }),
  z.strictObject({ shape: z.literal('ellipse'), length: Value, breadth: Value }),
  z.strictObject({ shape: z.literal('rectangle'), length: Value, breadth: Value, cornerRadius: Value }),
  /** Rounded at both ends; `length` is over all. */
  z.strictObject({ shape: z.literal('slot'), length: Value, breadth: Value }),
  /** Regular, measured over flats (a flat to the corner opposite, for odd ones) or over corners. */
  z.strictObject({
    shape: z.literal('polygon'),
    sides: z.int().min(3).max(24),
    by: z.enum(['flats', 'corners']),
    across: Value,
  }),
  /** Part of a ring, its middle line along x: inner and outer diameters, and the whole angle, radians. */
  z.strictObject({
    shape: z.literal('sector'),
    inner: Value,
    outer: Value,
    angle: angleWithin(0.02, 6.2),
  }),
  /** As a band stretched round circles. */
  z.strictObject({
    shape: z.literal('hull'),
    circles: z
      .array(z.strictObject({ x: Value, y: Value, diameter: Value }))
      .min(2)
      .max(24),
  }),
  /** A band round circles of one diameter at the points of a layout, as they lie there about its origin. */
  z.strictObject({ shape: z.literal('layoutHull'), layout: Id, diameter: Value }),
  /**
   * The outline of another step, of a flat face, or of a whole body, moved out all round by a length (in, if negative). With
   * `body` it is another body's, as it stands there.
   */
  z.strictObject({
    shape: z.literal('offset'),
    of: z.union([
      z.strictObject({ step: Id, body: Id.optional() }),
      z.strictObject({ face: FacePick, body: Id.optional() }),
      /** All that is there, as it is seen from above. */
      z.strictObject({ whole: z.literal(true), body: Id.optional() }),
    ]),
    by: Value,
  }),
  DrawnOutline,
  /** From point to point and back to the first. `via`: an arc goes through it. */
  z.strictObject({
    shape: z.literal('points'),
    points: z
      .array(z.strictObject({ x: Value, y: Value, via: z.literal(true).optional() }))
      .min(3)
      .max(200),
    between: z.enum(['straight', 'smooth']),
  }),
  /** Involute teeth, outside or inside a ring (then what is cut out of it). Angle in radians, shift in modules. */
  z.strictObject({
    shape: z.literal('gear'),
    teeth: countWithin(5, 300),
    module: Value,
    pressure: angleWithin(0.2, 0.6),
    shift: factorWithin(-1, 1.5),
    /** How much thinner each tooth is, along the pitch circle. */
    backlash: Value,
    side: z.enum(['outside', 'inside']),
    /** Raised, its outside teeth are eased so much at 45° towards both of its ends. */
    rim: Value.optional(),
  }),
  /** Straight rack: its pitch line through its middle, teeth to the back. `body` is what is left below the teeth. */
  z.strictObject({
    shape: z.literal('rack'),
    teeth: countWithin(1, 300),
    module: Value,
    pressure: angleWithin(0.2, 0.6),
    backlash: Value,
    body: Value,
  }),
]);
export type OutlineShape = z.infer<typeof OutlineShape>;
export type OutlineShapeName = OutlineShape['shape'];

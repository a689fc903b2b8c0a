import { z } from 'zod';

import { line } from './ids';
import { OutlineShape } from './outline';
import { FacePick, place } from './place';
import { angleWithin, countWithin } from './plainNumber';
import { Effect, step } from './stepBase';
import { turn } from './turn';
import { Value } from './value';

/** An outline raised straight up to a height, or right through what is there. */
export const RaiseStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('raise'),
  effect: Effect,
  outline: OutlineShape,
  turn,
  height: z.union([z.literal('through'), Value]),
  /** It ends at this face, instead of at its height. */
  upTo: FacePick.optional(),
  /** Its height says how high its floor lies above the ground, instead of how deep it is cut. */
  floor: z.literal(true).optional(),
  /** Half of the height to each side of its place. */
  bothWays: z.literal(true).optional(),
  /** Radians by which its sides lean in, away from its place; outward if negative. */
  taper: angleWithin(-1, 1).optional(),
});

/** An outline turned by `angle`, radians, about the upright axis of its place; its middle `away` from it and `up` above. */
export const SpinStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('spin'),
  effect: Effect,
  outline: OutlineShape,
  away: Value,
  up: Value,
  angle: angleWithin(0.02, 6.284),
  /** Radians, where it begins; 0 is to the right. */
  turn,
});

/**
 * From outline to outline, straight or smooth: heights above its place, each moved aside and turned as it says. `tilt`,
 * radians, leans one about the way to its right; `shift` lets its corners meet those so many further on.
 */
export const BlendStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('blend'),
  effect: Effect,
  sections: z
    .array(
      z.strictObject({
        outline: OutlineShape,
        at: Value,
        x: Value,
        y: Value,
        turn,
        tilt: angleWithin(-1.5, 1.5).optional(),
        shift: countWithin(-24, 24).optional(),
      }),
    )
    .min(2)
    .max(20),
  between: z.enum(['straight', 'smooth']),
});

/**
 * An outline run along a path of points (right, back and up from its place): straight with rounded bends, or smooth.
 * `ending` is what its section has become at the end of an open path.
 */
export const RunStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('run'),
  effect: Effect,
  outline: OutlineShape,
  ending: OutlineShape.optional(),
  path: z
    .array(z.strictObject({ x: Value, y: Value, up: Value }))
    .min(2)
    .max(60),
  bend: Value,
  along: z.enum(['straight', 'smooth']),
  closed: z.boolean(),
});

/**
 * A screw thread: outside ones are added as a threaded rod, inside ones cut as a threaded hole. `play` is taken off
 * all round (outside) or added (inside). A drawn one is a plain cylinder of the size to thread by hand.
 */
export const ThreadStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('thread'),
  side: z.enum(['outside', 'inside']),
  /** Name of the thread in the tables: M8, G 1/4. */
  size: line(40),
  length: z.union([z.literal('through'), Value]),
  play: Value,
  made: z.enum(['modelled', 'drawn']),
  /** The mouths of a threaded hole widen at 45°, so that a screw finds its way in. */
  eased: z.literal(true).optional(),
});

/** Most letters of one step. */
export const LETTERS_LIMIT = 40;

/** Raised or sunk letters, `height` their capital height and `depth` how far they stand out or go in. */
export const TextStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('text'),
  effect: Effect,
  text: line(LETTERS_LIMIT),
  height: Value,
  depth: Value,
  turn,
});

/** Radians by which the face that holds leans back, so that it hooks; less than nothing, and it can be pulled out again. */
const undercut = angleWithin(-1, 0.8).optional();

/**
 * A springy tongue standing up from its place, bending along x, with a bump at its end that snaps in. Cut, it is the
 * room for one: `play` wider all round.
 */
export const TongueStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('tongue'),
  effect: Effect,
  length: Value,
  breadth: Value,
  thickness: Value,
  /** How far the bump stands out; it snaps behind an edge that deep. */
  bump: Value,
  undercut,
  play: Value,
  turn,
});

/**
 * A ridge that snaps behind an edge or into a slot: square, or by its undercut, on the left, and with a slope that leads
 * in on the right. Cut, it is the room for one: `play` wider all round.
 */
export const BumpStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('bump'),
  effect: Effect,
  breadth: Value,
  /** How far it stands out. */
  bump: Value,
  undercut,
  play: Value,
  turn,
});

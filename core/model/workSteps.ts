import { z } from 'zod';

import { EdgeRule } from './edgeRule';
import { HoleHead } from './holeHead';
import { Id } from './ids';
import { FacePick, placeOnTop, Side } from './place';
import { angleWithin, countWithin, factorWithin } from './plainNumber';
import { Effect, step } from './stepBase';
import { turn } from './turn';
import { Value } from './value';

/** Another body added to this one, taken out of it, or kept in common with it. */
export const BodyStep = z.strictObject({
  ...step,
  kind: z.literal('body'),
  of: Id,
  effect: Effect,
  /** Its sizes that go through a fit are taken as their fits make them: each face with its own allowance. */
  byFits: z.literal(true).optional(),
  /** How much larger it is taken, all round; with fits, in addition to them. */
  grow: Value,
  /** From which side it can be put in: the way is cleared. */
  wayIn: z.union([z.literal('none'), Side]),
});

/** Faces of a step, of all steps that a fit gives a number, or all faces, moved out by a length (in, if negative). */
export const FacesStep = z.strictObject({
  ...step,
  kind: z.literal('faces'),
  of: z.union([z.literal('all'), z.literal('mating'), Id]),
  by: Value,
});

/** Sides of a step leaned in by an angle, radians, held at its bottom or its top. */
export const TaperStep = z.strictObject({
  ...step,
  kind: z.literal('taper'),
  of: Id,
  angle: angleWithin(-1, 1),
  held: z.enum(['bottom', 'top']),
});

/** 1 leaves it as it is. */
const factor = factorWithin(0.01, 100);

/** All that is there, moved, turned about an axis through the origin, and scaled about it: evenly or each way by its own. */
export const MoveStep = z.strictObject({
  ...step,
  kind: z.literal('move'),
  dx: Value,
  dy: Value,
  dz: Value,
  axis: z.enum(['x', 'y', 'z']),
  turn,
  scale: z.union([factor, z.strictObject({ x: factor, y: factor, z: factor })]),
});

/** Cut in two by a plane square to an axis; of both halves kept, the upper one is moved off by `gap`. */
export const SplitStep = z.strictObject({
  ...step,
  kind: z.literal('split'),
  axis: z.enum(['x', 'y', 'z']),
  at: Value,
  /** Split by the plane of this flat face instead: `low` is then what lies behind it, `high` what lies before it. */
  face: FacePick.optional(),
  keep: z.enum(['low', 'high', 'both']),
  gap: Value,
  /** Pegs on the lower half and sockets in the upper, to find each other by. */
  pegs: z.strictObject({ diameter: Value, length: Value, apart: Value, play: Value }).optional(),
  /** Two slots through both halves, for a strap that ties them together. */
  ties: z.strictObject({ breadth: Value, thickness: Value, apart: Value }).optional(),
});

/** How often something is made, the first time included. */
const count = countWithin(2, 200);

/**
 * What an earlier step, or each of several, made or took away, again: evenly round the axle line, in a row, or at the points of a
 * layout. Of several, the first says where they stand: the others keep their places beside it.
 */
export const RepeatStep = z.strictObject({
  ...step,
  kind: z.literal('repeat'),
  of: z.union([Id, z.array(Id).min(2).max(60)]),
  pattern: z.discriminatedUnion('by', [
    /** Evenly round the axle line, or round an upright axis through a point. */
    z.strictObject({ by: z.literal('round'), count, x: Value.optional(), y: Value.optional() }),
    z.strictObject({ by: z.literal('row'), count, dx: Value, dy: Value, dz: Value.optional() }),
    /** Rows and columns, the first time at the left and the front. */
    z.strictObject({ by: z.literal('grid'), count, rows: count, dx: Value, dy: Value }),
    /** Evenly along a line from point to point, counted from where the step stands. */
    z.strictObject({
      by: z.literal('path'),
      count,
      points: z
        .array(z.strictObject({ x: Value, y: Value }))
        .min(1)
        .max(60),
    }),
    /** At places of their own, from the axle line; where the step stands already it is not made again. */
    z.strictObject({
      by: z.literal('points'),
      points: z
        .array(z.strictObject({ x: Value, y: Value }))
        .min(1)
        .max(200),
    }),
    z.strictObject({ by: z.literal('layout'), id: Id }),
  ]),
});

/** The steps that a repeat makes again. */
export const repeatedBy = ({ of }: { of: string | readonly string[] }): readonly string[] =>
  typeof of === 'string' ? [of] : of;

/**
 * Mirrored across an upright plane through the axle line or the ground: all that is there, beside itself or instead; or only what
 * some steps before it made or took away, and the edges that they rounded or eased, beside themselves.
 */
export const MirrorStep = z.strictObject({
  ...step,
  kind: z.literal('mirror'),
  of: z.array(Id).min(1).max(60).optional(),
  across: z.enum(['sides', 'frontBack', 'upDown']),
  keep: z.enum(['both', 'other']),
});

/** What is there, hollowed to an even wall and open at its level faces, at faces that were picked, or nowhere. */
export const HollowStep = z.strictObject({
  ...step,
  kind: z.literal('hollow'),
  wall: Value,
  open: z.union([z.enum(['top', 'bottom', 'both', 'closed']), z.array(FacePick).min(1).max(20)]),
});

/** Round hole square to its place: right through, or `depth` down from it, with a flat or a pointed end. */
export const DrillStep = z.strictObject({
  ...step,
  ...placeOnTop,
  kind: z.literal('drill'),
  diameter: Value,
  depth: z.union([z.literal('through'), Value]),
  /** Its depth says how high its floor lies above the ground, instead of how deep it is cut. */
  floor: z.literal(true).optional(),
  head: HoleHead.optional(),
  /** Radians, the whole angle of the point of a blind hole; `depth` is then measured to its shoulder. */
  point: angleWithin(0.5, 3).optional(),
});

/** Flat ease (chamfer), `size` measured along each face; with `other` along the second one, or at an angle to the first. */
export const EaseStep = z.strictObject({
  ...step,
  kind: z.literal('ease'),
  size: Value,
  other: z
    .union([z.strictObject({ length: Value }), z.strictObject({ angle: angleWithin(0.05, 1.5) })])
    .optional(),
  where: EdgeRule,
});

/** Round (fillet) of radius `size`. */
export const RoundStep = z.strictObject({ ...step, kind: z.literal('round'), size: Value, where: EdgeRule });

import { z } from 'zod';

import { EdgeRule } from './edgeRule';
import { HoleHead } from './holeHead';
import { Id, line, name } from './ids';
import { OutlineShape } from './outline';
import { FacePick, place, placeOnGround, placeOnTop, Side } from './place';
import { turn } from './turn';
import { Value } from './value';

/** `off`: kept in the recipe, and left out when it is built. */
const step = { id: Id, note: line(200).optional(), off: z.literal(true).optional() };

/**
 * What a step does with the solid it makes: joins it, takes it away, keeps what both have in common, or leaves it apart
 * as a piece of its own.
 */
export const Effect = z.enum(['add', 'cut', 'common', 'apart']);
export type Effect = z.infer<typeof Effect>;
/** Whether it goes into what is there, and not onto it. */
export const takesAway = (effect: Effect): boolean => effect === 'cut' || effect === 'common';

/** Disc or cylinder turned about the axle line (z), standing on z = 0, unless it has a place of its own. */
export const TurnStep = z.strictObject({
  ...step,
  ...placeOnGround,
  kind: z.literal('turn'),
  effect: Effect.optional(),
  diameter: Value,
  width: Value,
});

/** Plate lying on z = 0 about the axle line, unless it has a place of its own; corners rounded as seen in plan. */
export const PlateStep = z.strictObject({
  ...step,
  ...placeOnGround,
  kind: z.literal('plate'),
  effect: Effect.optional(),
  length: Value,
  breadth: Value,
  thickness: Value,
  cornerRadius: Value,
  turn: turn.optional(),
});

/** Peg raised from what is there, or cut out of it. */
export const PegStep = z.strictObject({
  ...step,
  ...placeOnTop,
  kind: z.literal('peg'),
  effect: Effect.optional(),
  diameter: Value,
  height: Value,
});

/** Groove cut round the rim of a turned step, in the middle of its width. */
export const GrooveStep = z.strictObject({
  ...step,
  kind: z.literal('groove'),
  rimOf: Id,
  width: Value,
  depth: Value,
  /** Above the middle of the width; below it if negative. */
  up: Value.optional(),
});

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
  /** Half of the height to each side of its place. */
  bothWays: z.literal(true).optional(),
  /** Radians by which its sides lean in, away from its place; outward if negative. */
  taper: z.number().min(-1).max(1).optional(),
});

/** A block whose top slopes along x, from `low` high on the left to `high` on the right; either may be zero. */
export const WedgeStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('wedge'),
  effect: Effect,
  length: Value,
  breadth: Value,
  low: Value,
  high: Value,
  turn,
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
  angle: z.number().min(0.02).max(6.284),
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
        tilt: z.number().min(-1.5).max(1.5).optional(),
        shift: z.int().min(-24).max(24).optional(),
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

/** Raised or sunk letters, `height` their capital height and `depth` how far they stand out or go in. */
export const TextStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('text'),
  effect: Effect,
  text: line(40),
  height: Value,
  depth: Value,
  turn,
});

/** Radians by which the face that holds leans back, so that it hooks; less than nothing, and it can be pulled out again. */
const undercut = z.number().min(-1).max(0.8).optional();

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
  angle: z.number().min(-1).max(1),
  held: z.enum(['bottom', 'top']),
});

/** 1 leaves it as it is. */
const factor = z.number().min(0.01).max(100);

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
 * A shape read along its upright axis as calipers take it: heights above the place, and the diameter at each; straight
 * or smooth between. Round it is turned; oval or square in section it has a depth as well, and `diameter` is its width.
 */
export const StationsStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('stations'),
  effect: Effect,
  rows: z
    .array(z.strictObject({ at: Value, diameter: Value, depth: Value.optional() }))
    .min(2)
    .max(60),
  section: z.enum(['oval', 'box']).optional(),
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

/** All that is there, mirrored across an upright plane through the axle line or the ground: beside itself, or instead. */
export const MirrorStep = z.strictObject({
  ...step,
  kind: z.literal('mirror'),
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
  head: HoleHead.optional(),
  /** Radians, the whole angle of the point of a blind hole; `depth` is then measured to its shoulder. */
  point: z.number().min(0.5).max(3).optional(),
});

/** Flat ease (chamfer), `size` measured along each face; with `other` along the second one, or at an angle to the first. */
export const EaseStep = z.strictObject({
  ...step,
  kind: z.literal('ease'),
  size: Value,
  other: z
    .union([z.strictObject({ length: Value }), z.strictObject({ angle: z.number().min(0.05).max(1.5) })])
    .optional(),
  where: EdgeRule,
});

/** Round (fillet) of radius `size`. */
export const RoundStep = z.strictObject({ ...step, kind: z.literal('round'), size: Value, where: EdgeRule });

export const Step = z.discriminatedUnion('kind', [
  TurnStep,
  PlateStep,
  PegStep,
  GrooveStep,
  DrillStep,
  RaiseStep,
  WedgeStep,
  SpinStep,
  BlendStep,
  RunStep,
  ThreadStep,
  TextStep,
  TongueStep,
  BumpStep,
  BodyStep,
  FacesStep,
  TaperStep,
  MoveStep,
  SplitStep,
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

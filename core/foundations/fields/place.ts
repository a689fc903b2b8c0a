import { z } from 'zod';

import type { Vec3 } from '@core/foundations/vectors';

import { Id, line } from './ids';
import { angleWithin, type PlainNumber } from './plainNumber';
import { Value } from './value';

const coordinate = z.number().min(-10_000).max(10_000);

/** A point of the part as it was when something was picked, mm. It only breaks ties. */
const Near = z.tuple([coordinate, coordinate, coordinate]);

/** A face by its origin: the tag it was given by the step that made it. */
export const FacePick = z.strictObject({ tag: line(120), near: Near });
export type FacePick = z.infer<typeof FacePick>;

/** An edge by the origins of the two faces that meet there. */
export const EdgePick = z.strictObject({ tags: z.tuple([line(120), line(120)]), near: Near });
export type EdgePick = z.infer<typeof EdgePick>;

/** The sides of what is there, as one stands before it: its outermost level on each. `bottom` is z = 0. */
export const Side = z.enum(['top', 'bottom', 'front', 'back', 'left', 'right']);
export type Side = z.infer<typeof Side>;

/** Where each side looks, out of the part: unit vectors. */
export const OUTWARD: Readonly<Record<Side, Vec3>> = {
  top: [0, 0, 1],
  bottom: [0, 0, -1],
  front: [0, -1, 0],
  back: [0, 1, 0],
  left: [-1, 0, 0],
  right: [1, 0, 0],
};

/** What something stands on: a side of what is there, or a flat face that was picked. */
export const Ground = z.union([Side, z.strictObject({ face: FacePick })]);
export type Ground = z.infer<typeof Ground>;

/**
 * What a place is measured from, along one way. `low` is the left, front or lower edge, `high` the other; flush ones
 * hold the thing's own edge off by the number, the others its middle. `there` is where the outline stands that it was taken from.
 */
export const MeasuredFrom = z.enum(['axle', 'middle', 'low', 'high', 'lowFlush', 'highFlush', 'there']);
export type MeasuredFrom = z.infer<typeof MeasuredFrom>;

/** ... or the middle of an earlier step. */
export const FromStep = z.strictObject({ step: Id });
export type FromStep = z.infer<typeof FromStep>;

/** Finer points of a place. Without them it is measured from the axle line, or on a face from its middle. */
export const finerPlace = {
  xFrom: z.union([MeasuredFrom, FromStep]).optional(),
  yFrom: z.union([MeasuredFrom, FromStep]).optional(),
  /** Above what it stands on; below it if negative. */
  lift: Value.optional(),
  /** Radians, a tilt about the way to the right of its place. */
  tilt: angleWithin(-1.6, 1.6).optional(),
};

/**
 * Where a solid stands: its middle at (x, y) on its ground; to the right and to the back on level ones, to the right
 * and up on the front and the back, to the back and up on the left and the right. Cuts go into the part from there.
 */
export const place = { on: Ground, x: Value, y: Value, ...finerPlace };

/** The same for steps that stand on the top unless they say otherwise. */
export const placeOnTop = { on: Ground.optional(), x: Value, y: Value, ...finerPlace };

/** The same for steps that lie on the ground, on the axle line, unless they say otherwise. */
export const placeOnGround = {
  on: Ground.optional(),
  x: Value.optional(),
  y: Value.optional(),
  ...finerPlace,
};

/** A place as a step has it. */
export interface Place<Plain extends PlainNumber = PlainNumber> {
  on?: Ground | undefined;
  x: Value;
  y: Value;
  xFrom?: MeasuredFrom | FromStep | undefined;
  yFrom?: MeasuredFrom | FromStep | undefined;
  lift?: Value | undefined;
  tilt?: Plain | undefined;
}

/** Whether a place is where the outline stands that the step takes from elsewhere. */
export const isThere = ({ xFrom, yFrom }: Pick<Place, 'xFrom' | 'yFrom'>): boolean =>
  xFrom === 'there' || yFrom === 'there';

import { z } from 'zod';

import { Id } from './ids';
import { EdgePick, FacePick } from './place';
import { angleWithin } from './plainNumber';
import { Value } from './value';

/** Name of a point of a drawn outline. */
export const PointName = z.string().min(1).max(12);
/** Name of a curve, a relation or a dimension of a drawn outline; the faces of a curve are called by it. */
const Name = z.string().regex(/^[A-Za-z0-9]{1,12}$/);

/**
 * What of a part a curve or a point of an outline follows, as the step finds it: an edge, seen square to the outline, or the line in which the
 * outline's plane cuts a face. With `body` it is another body's.
 */
export const Followed = z.union([
  z.strictObject({ edge: EdgePick, body: Id.optional() }),
  z.strictObject({ cut: FacePick, body: Id.optional() }),
]);
export type Followed = z.infer<typeof Followed>;

/** Its coordinates are then where it was seen last. */
const follows = Followed.optional();

const curve = {
  /** Left out, it is called by its place in the list, from 0. */
  id: Name.optional(),
  /** A centre line, or what others are held by: no part of the outline. */
  helper: z.literal(true).optional(),
  /** What its faces are called, where they had a name in the outline that it comes of. */
  face: Name.optional(),
  follows,
};

/** A curve of a drawn outline, between its points. */
export const DrawnCurve = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('line'), from: PointName, to: PointName, ...curve }),
  z.strictObject({ kind: z.literal('arc'), from: PointName, via: PointName, to: PointName, ...curve }),
  /** Smooth through its points in order; a closed one comes back to the first. */
  z.strictObject({
    kind: z.literal('spline'),
    points: z.array(PointName).min(2).max(100),
    closed: z.boolean(),
    ...curve,
  }),
  z.strictObject({ kind: z.literal('circle'), middle: PointName, diameter: Value, ...curve }),
  z.strictObject({ kind: z.literal('ellipse'), middle: PointName, length: Value, breadth: Value, ...curve }),
]);
export type DrawnCurve = z.infer<typeof DrawnCurve>;

const points = z.tuple([PointName, PointName]);
const curves = z.tuple([Name, Name]);
const relation = { id: Name };

/** What points and curves of a drawn outline keep to each other (a geometric constraint). */
export const OutlineConstraint = z.discriminatedUnion('kind', [
  /** Two points at one place. */
  z.strictObject({ kind: z.literal('coincident'), points, ...relation }),
  /** Two points at one height. */
  z.strictObject({ kind: z.literal('level'), points, ...relation }),
  /** Two points one above the other. */
  z.strictObject({ kind: z.literal('upright'), points, ...relation }),
  /** A point on a line and its continuation, a circle, an arc's circle or an ellipse. */
  z.strictObject({ kind: z.literal('onCurve'), point: PointName, curve: Name, ...relation }),
  /** A point halfway along a line or an arc. */
  z.strictObject({ kind: z.literal('midpoint'), point: PointName, curve: Name, ...relation }),
  z.strictObject({ kind: z.literal('parallel'), curves, ...relation }),
  z.strictObject({ kind: z.literal('square'), curves, ...relation }),
  z.strictObject({ kind: z.literal('collinear'), curves, ...relation }),
  /** Two lines of one length, or two circles or arcs of one radius. */
  z.strictObject({ kind: z.literal('equal'), curves, ...relation }),
  z.strictObject({ kind: z.literal('tangent'), curves, ...relation }),
  z.strictObject({ kind: z.literal('concentric'), curves, ...relation }),
  /** Two points that mirror each other in a line. */
  z.strictObject({ kind: z.literal('symmetric'), points, about: Name, ...relation }),
  /** The second point is the first, turned about a third by so much anticlockwise, radians. */
  z.strictObject({
    kind: z.literal('turned'),
    points,
    about: PointName,
    angle: z.number().min(-6.3).max(6.3),
    ...relation,
  }),
  /** A point that stays where it was drawn. */
  z.strictObject({ kind: z.literal('fixed'), point: PointName, ...relation }),
]);
export type OutlineConstraint = z.infer<typeof OutlineConstraint>;

const dimension = {
  id: Name,
  value: Value,
  /** It only tells what comes out, and holds nothing. */
  reference: z.literal(true).optional(),
};

/** A size of a drawn outline, mm, or an angle, radians. */
export const OutlineDimension = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('distance'), points, ...dimension }),
  /** How far two points are apart to the right, or upward. */
  z.strictObject({ kind: z.literal('along'), points, axis: z.enum(['x', 'y']), ...dimension }),
  /** From a point square to a line. */
  z.strictObject({ kind: z.literal('fromLine'), point: PointName, curve: Name, ...dimension }),
  /** Twice that: a diameter, where only one side of its centre line is drawn. */
  z.strictObject({ kind: z.literal('across'), point: PointName, curve: Name, ...dimension }),
  z.strictObject({ kind: z.literal('radius'), curve: Name, ...dimension }),
  z.strictObject({ kind: z.literal('diameter'), curve: Name, ...dimension }),
  /** From the middle of an arc square to the line between its ends. */
  z.strictObject({ kind: z.literal('rise'), curve: Name, ...dimension }),
  /** Between two lines; from where they meet, if they do. */
  z.strictObject({
    kind: z.literal('angle'),
    curves,
    id: Name,
    angle: angleWithin(0, Math.PI),
    reference: z.literal(true).optional(),
  }),
]);
export type OutlineDimension = z.infer<typeof OutlineDimension>;

/**
 * Curves between points, of one loop or of several: the outermost is the outline, those within it are holes in it. Without relations and
 * dimensions points stand as they are given. With them, coordinates and diameters that are plain numbers are where a hand drew them,
 * and move until all relations and dimensions hold.
 */
export const DrawnOutline = z.strictObject({
  shape: z.literal('drawn'),
  points: z.array(z.strictObject({ id: PointName, x: Value, y: Value, follows })).max(400),
  curves: z.array(DrawnCurve).max(400),
  relations: z.array(OutlineConstraint).max(1000),
  dimensions: z.array(OutlineDimension).max(400).optional(),
  /** It is a band this wide, inward from what is drawn. */
  band: Value.optional(),
});
export type DrawnOutline = z.infer<typeof DrawnOutline>;

/** A path drawn by hand in a plane of its place: level, upright to the right, or upright to the back. */
export const DrawnPath = z.strictObject({ drawn: DrawnOutline, lies: z.enum(['level', 'right', 'back']) });
export type DrawnPath = z.infer<typeof DrawnPath>;

/** Whether a path is drawn, and not given by points in space. */
export const isDrawnPath = <T extends object>(path: T): path is Extract<T, { lies: unknown }> =>
  'lies' in path;

import type { NamedLength } from '@core/foundations/fault';
import type {
  DrawnCurve,
  Followed,
  OutlineConstraint,
  OutlineDimension,
  SettledParts,
} from '@core/foundations/fields';

/** A point of the plane, mm. */
export type Place = readonly [x: number, y: number];

/** A drawn outline in which every angle stands as a number. */
export interface DrawnData {
  points: readonly { id: string; x: CoordinateOf; y: CoordinateOf; follows?: Followed | undefined }[];
  curves: readonly DrawnCurve[];
  relations: readonly OutlineConstraint[];
  dimensions?: readonly SettledDimension[] | undefined;
}
type CoordinateOf = { from: string };
export type SettledDimension = SettledParts<OutlineDimension>;

/** A dimension with what it should come to; null where that is not known yet, so that it only tells what comes out. */
export interface KnownDimension {
  dimension: SettledDimension;
  /** mm, or radians of an angle. */
  wanted: number | null;
  /** Standard uncertainty of a measured one, mm; 0 of one that was decided. */
  standardMm: number;
  tag: string | null;
}

/** A drawn outline as the solver takes it: where its hand put it, and what it should hold. */
export interface DrawnInput {
  /** `held`: a coordinate that a size, a fit or the part gives. */
  points: readonly { id: string; at: Place; held: readonly [x: boolean, y: boolean] }[];
  curves: readonly KnownCurve[];
  relations: readonly OutlineConstraint[];
  dimensions: readonly KnownDimension[];
}

/** A curve with its name, and the numbers that it was drawn with, mm. `following`: it follows the part, and can't be moved. */
export type KnownCurve = { id: string; helper: boolean; following?: boolean; face?: string | undefined } & (
  | { kind: 'line'; from: string; to: string }
  | { kind: 'arc'; from: string; via: string; to: string }
  | { kind: 'spline'; points: readonly string[]; closed: boolean }
  | { kind: 'circle'; middle: string; radius: number; heldRadius: boolean }
  | { kind: 'ellipse'; middle: string; along: Place; held: readonly [x: boolean, y: boolean] }
);

/** The name of a curve: its own, or its place in the list. */
export const curveName = (curve: { id?: string | undefined }, index: number): string =>
  curve.id ?? String(index);

/** Lengths of an outline by their path in it; undefined while one is not known. */
export type LengthAt = (path: string) => NamedLength | undefined;

/** A drawn outline with its lengths put in. Coordinates that are not known are taken as nothing. */
export function drawnInput(data: DrawnData, lengthAt: LengthAt): DrawnInput {
  const mm = (path: string) => lengthAt(path)?.mm ?? 0;
  const isHeld = (value: object) => 'from' in value && value.from !== 'number';
  const following = new Set(data.curves.flatMap((curve) => (curve.follows ? pointsOfCurve(curve) : [])));
  return {
    points: data.points.map(({ id, x, y, follows }, index) => {
      const isFollowing = follows !== undefined || following.has(id);
      return {
        id,
        at: [mm(`points.${index}.x`), mm(`points.${index}.y`)],
        held: [isFollowing || isHeld(x), isFollowing || isHeld(y)],
      };
    }),
    curves: data.curves.map((curve, index): KnownCurve => {
      const named = {
        id: curveName(curve, index),
        helper: curve.helper === true,
        ...(curve.face === undefined ? {} : { face: curve.face }),
        ...(curve.follows ? { following: true } : {}),
      };
      const half = (key: string) => mm(`curves.${index}.${key}`) / 2;
      switch (curve.kind) {
        case 'line':
          return { ...named, kind: 'line', from: curve.from, to: curve.to };
        case 'arc':
          return { ...named, kind: 'arc', from: curve.from, via: curve.via, to: curve.to };
        case 'spline':
          return { ...named, kind: 'spline', points: curve.points, closed: curve.closed };
        case 'circle':
          return {
            ...named,
            kind: 'circle',
            middle: curve.middle,
            radius: half('diameter'),
            heldRadius: curve.follows !== undefined || isHeld(curve.diameter),
          };
        case 'ellipse':
          return {
            ...named,
            kind: 'ellipse',
            middle: curve.middle,
            along: [half('length'), half('breadth')],
            held: [isHeld(curve.length), isHeld(curve.breadth)],
          };
      }
    }),
    relations: data.relations,
    dimensions: (data.dimensions ?? []).map((dimension, index): KnownDimension => {
      if (dimension.kind === 'angle')
        return {
          dimension,
          wanted: dimension.reference ? null : dimension.angle,
          standardMm: 0,
          tag: null,
        };
      const known = lengthAt(`dimensions.${index}.value`);
      return {
        dimension,
        wanted: dimension.reference || !known ? null : known.mm,
        standardMm: known?.standardMm ?? 0,
        tag: known?.tag ?? null,
      };
    }),
  };
}

/** Points at which a curve ends; none of what is closed. */
export function endsOfCurve(curve: KnownCurve | DrawnCurve): readonly string[] {
  if (curve.kind === 'line' || curve.kind === 'arc') return [curve.from, curve.to];
  return curve.kind === 'spline' && !curve.closed ? [curve.points[0]!, curve.points.at(-1)!] : [];
}

/** Points that a curve runs between, or is drawn about. */
export function pointsOfCurve(curve: KnownCurve | DrawnCurve): readonly string[] {
  switch (curve.kind) {
    case 'line':
      return [curve.from, curve.to];
    case 'arc':
      return [curve.from, curve.via, curve.to];
    case 'spline':
      return curve.points;
    case 'circle':
    case 'ellipse':
      return [curve.middle];
  }
}

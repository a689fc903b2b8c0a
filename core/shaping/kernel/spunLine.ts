import { isFullTurn } from '@core/foundations/tolerance';

/** A point in the half plane that is turned about an axis: how far out from the axis and how far up along it, mm. */
export type OutUp = readonly [out: number, up: number];

/** The straight or round line that makes a surface as it is turned. */
export interface SpunLine {
  /** Its point at a share of its way. */
  at(share: number): OutUp;
  /** The way square to it, a unit vector: to the right of the line as it goes, with out to the right and up upwards. */
  normalAt(share: number): OutUp;
  /** Which share of its way a point on it has, 0 to 1. */
  shareOf(point: OutUp): number;
  /** How far out it goes, or a little further, mm. */
  reach: number;
  /** Of a round one: mm, and radians. */
  bend: { radius: number; angle: number } | null;
}

export function straightLine(begins: OutUp, ends: OutUp): SpunLine {
  const [out, up] = [ends[0] - begins[0], ends[1] - begins[1]];
  const length = Math.hypot(out, up);
  const normal: OutUp = [up / length, -out / length];
  return {
    at: (share) => [begins[0] + share * out, begins[1] + share * up],
    normalAt: () => normal,
    shareOf: (point) => ((point[0] - begins[0]) * out + (point[1] - begins[1]) * up) / length ** 2,
    reach: Math.max(begins[0], ends[0]),
    bend: null,
  };
}

/** @param angle how far it goes round its middle, radians; negative if clockwise. */
export function roundLine(begins: OutUp, middle: OutUp, angle: number): SpunLine {
  const from: OutUp = [begins[0] - middle[0], begins[1] - middle[1]];
  const radius = Math.hypot(...from);
  const way = Math.sign(angle);
  const turned = (share: number): OutUp => {
    const [cos, sin] = [Math.cos(angle * share), Math.sin(angle * share)];
    return [from[0] * cos - from[1] * sin, from[0] * sin + from[1] * cos];
  };
  return {
    at: (share) => {
      const [out, up] = turned(share);
      return [middle[0] + out, middle[1] + up];
    },
    normalAt: (share) => {
      const [out, up] = turned(share);
      return [(way * out) / radius, (way * up) / radius];
    },
    shareOf: (point) => {
      const [out, up] = [point[0] - middle[0], point[1] - middle[1]];
      const gone = way * Math.atan2(from[0] * up - from[1] * out, from[0] * out + from[1] * up);
      return positive(gone) / Math.abs(angle);
    },
    reach: middle[0] + radius,
    bend: { radius, angle: Math.abs(angle) },
  };
}

/** By whole turns, from 0 to less than one; what misses 0 by a rounding is 0. */
export function positive(angle: number): number {
  const least = angle - 2 * Math.PI * Math.floor(angle / (2 * Math.PI));
  return isFullTurn(least) ? 0 : least;
}

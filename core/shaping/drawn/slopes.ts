import type { Prediction } from '@core/measuring/adjustment';

/** Where the x and the y of a point stand among the unknowns. */
export type At = readonly [x: number, y: number];
type Values = ArrayLike<number>;

/** What is shorter has no direction, mm: below it, dividing by it leaves no digit. */
const NO_LENGTH_MM = 1e-12;

/** How far one point is from another, mm. */
export function apart([ax, ay]: At, [bx, by]: At, v: Values): Prediction {
  const [dx, dy] = [v[bx]! - v[ax]!, v[by]! - v[ay]!];
  const value = Math.hypot(dx, dy);
  // Points on top of each other have no direction; any serves to push them apart.
  const [ux, uy] = value < NO_LENGTH_MM ? [Math.SQRT1_2, Math.SQRT1_2] : [dx / value, dy / value];
  return { value, at: [ax, ay, bx, by], slopes: [-ux, -uy, ux, uy] };
}

/** How far a point is to the left of the way from a to b, mm; negative to the right. */
export function leftOf([px, py]: At, [ax, ay]: At, [bx, by]: At, v: Values): Prediction {
  const [ux, uy, length] = wayOf(v[bx]! - v[ax]!, v[by]! - v[ay]!);
  const [qx, qy] = [v[px]! - v[ax]!, v[py]! - v[ay]!];
  const [nx, ny] = [-uy, ux];
  const along = (ux * qx + uy * qy) / length;
  return {
    value: nx * qx + ny * qy,
    at: [px, py, ax, ay, bx, by],
    slopes: [nx, ny, (along - 1) * nx, (along - 1) * ny, -along * nx, -along * ny],
  };
}

/** How far the way from p to q goes along that from a to b, mm. */
export function alongWay([px, py]: At, [qx, qy]: At, [ax, ay]: At, [bx, by]: At, v: Values): Prediction {
  const [ux, uy, length] = wayOf(v[bx]! - v[ax]!, v[by]! - v[ay]!);
  const [dx, dy] = [v[qx]! - v[px]!, v[qy]! - v[py]!];
  // As the way turns, what lies across it comes in.
  const across = (-uy * dx + ux * dy) / length;
  return {
    value: ux * dx + uy * dy,
    at: [px, py, qx, qy, ax, ay, bx, by],
    slopes: [-ux, -uy, ux, uy, across * uy, -across * ux, -across * uy, across * ux],
  };
}

/** Which way it goes from a to b, radians from x. */
export function headingOf([ax, ay]: At, [bx, by]: At, v: Values): Prediction {
  const [ux, uy, length] = wayOf(v[bx]! - v[ax]!, v[by]! - v[ay]!);
  return {
    value: Math.atan2(uy, ux),
    at: [ax, ay, bx, by],
    slopes: [uy / length, -ux / length, -uy / length, ux / length],
  };
}

/** One unknown by itself. */
export const plain = (at: number, v: Values): Prediction => ({ value: v[at]!, at: [at], slopes: [1] });

/** A sum of predictions, each times a factor. */
export function sum(...terms: readonly (readonly [number, Prediction])[]): Prediction {
  let value = 0;
  const at: number[] = [];
  const slopes: number[] = [];
  for (const [factor, one] of terms) {
    value += factor * one.value;
    for (const [index, unknown] of one.at.entries()) {
      at.push(unknown);
      slopes.push(factor * one.slopes[index]!);
    }
  }
  return { value, at, slopes };
}

/** The same, of an angle that may be told a full turn away: brought to within half a turn of nothing, and made a length. */
export function turnedBy(one: Prediction, scaleMm: number): Prediction {
  return {
    value: scaleMm * wrapped(one.value),
    at: one.at,
    slopes: one.slopes.map((slope) => scaleMm * slope),
  };
}

/** An angle within half a turn of nothing. */
export const wrapped = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));

/** A direction and its length; what has no length points to the right. */
function wayOf(dx: number, dy: number): [number, number, number] {
  const length = Math.hypot(dx, dy);
  return length < NO_LENGTH_MM ? [1, 0, NO_LENGTH_MM] : [dx / length, dy / length, length];
}

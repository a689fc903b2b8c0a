import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import type { Quantity } from '@core/foundations/quantity';

import { construction, impossible, type Construction } from './construction';
import { gearFromSpans, gearFromTwoSpans } from './gear';

const length = <const K extends string>(key: K) => ({ key, quantity: 'length' }) as const;
/** Taken with the inside jaws. */
const between = <const K extends string>(key: K) => ({ key, quantity: 'length', jaw: 'inside' }) as const;
const count = <const K extends string>(key: K, usual?: number) =>
  ({ key, quantity: 'count', ...(usual === undefined ? {} : { usual }) }) as const;
const gives = (quantity: Quantity = 'length') => [{ key: 'result', quantity }] as const;
const result = (value: number) => ok({ result: value });

/** Three sides of a triangle, or by how much they fail to close. */
function triangle(a: number, b: number, c: number): Result<null, Fault> {
  const longest = Math.max(a, b, c);
  const gapMm = longest - (a + b + c - longest);
  return gapMm > 0 ? no({ code: 'triangle.open', gapMm }) : ok(null);
}

/** Angle opposite to side `c`, radians (law of cosines). */
const angleOpposite = (a: number, b: number, c: number) =>
  Math.acos(Math.min(1, Math.max(-1, (a * a + b * b - c * c) / (2 * a * b))));

/** Flats that a caliper can span: even polygons have opposite flats, odd ones a flat opposite a corner. */
function cornersPerFlats(sides: number): number {
  const half = Math.PI / sides;
  return sides % 2 === 0 ? 1 / Math.cos(half) : 2 / (1 + Math.cos(half));
}
const POLYGONS = [3, 4, 5, 6, 8];

const CENTRES: readonly Construction[] = [
  construction({
    id: 'centres-from-both-edges',
    inputs: [length('far'), between('near')],
    results: gives(),
    compute: ({ far, near }) =>
      far > near ? result((far + near) / 2) : impossible('centres-from-both-edges', 'farNotMoreThanNear'),
  }),
  construction({
    id: 'centres-from-near-edges',
    inputs: [between('near'), length('first'), length('second')],
    results: gives(),
    compute: ({ near, first, second }) => result(near + (first + second) / 2),
  }),
  construction({
    id: 'centres-from-far-edges',
    inputs: [length('far'), length('first'), length('second')],
    results: gives(),
    compute: ({ far, first, second }) =>
      far > (first + second) / 2
        ? result(far - (first + second) / 2)
        : impossible('centres-from-far-edges', 'lessThanBothHalves'),
  }),
  construction({
    id: 'offset-from-edge',
    inputs: [length('gap'), between('hole')],
    results: gives(),
    compute: ({ gap, hole }) => result(gap + hole / 2),
  }),
];

const ROUNDS: readonly Construction[] = [
  construction({
    id: 'radius-from-chord',
    inputs: [length('chord'), length('height')],
    results: gives(),
    // r = c²/8h + h/2, from the theorem of intersecting chords.
    compute: ({ chord, height }) => result((chord * chord) / (8 * height) + height / 2),
  }),
  construction({
    id: 'radius-from-three-points',
    inputs: [length('first'), length('second'), length('third')],
    results: gives(),
    compute({ first, second, third }) {
      const [a, b, c] = [first, second, third];
      const closed = triangle(a, b, c);
      if (!closed.ok) return closed;
      // Heron's formula in Kahan's order, which keeps its digits for flat triangles.
      const [x, y, z] = [a, b, c].sort((one, other) => other - one) as [number, number, number];
      const sixteen = (x + (y + z)) * (z - (x - y)) * (z + (x - y)) * (x + (y - z));
      if (!(sixteen > 0)) return impossible('radius-from-three-points', 'inOneLine');
      return result((a * b * c) / Math.sqrt(sixteen));
    },
  }),
  construction({
    id: 'diameter-from-string',
    inputs: [length('string'), count('turns', 1), length('thickness')],
    results: gives(),
    // The string's middle lies half a thickness outside.
    compute: ({ string, turns, thickness }) => {
      const diameter = string / (Math.PI * turns) - thickness;
      return diameter > 0 ? result(diameter) : impossible('diameter-from-string', 'stringTooShort');
    },
  }),
  construction({
    id: 'bolt-circle',
    inputs: [length('next'), count('holes')],
    results: gives(),
    compute: ({ next, holes }) =>
      holes >= 2 ? result(next / Math.sin(Math.PI / holes)) : impossible('bolt-circle', 'tooFewHoles'),
  }),
  construction({
    id: 'wall',
    inputs: [length('outside'), between('inside')],
    results: gives(),
    compute: ({ outside, inside }) =>
      outside > inside ? result((outside - inside) / 2) : impossible('wall', 'outsideNotMoreThanInside'),
  }),
];

const FLATS: readonly Construction[] = [
  construction({
    id: 'flats-to-corners',
    inputs: [length('flats'), count('sides', 6)],
    results: gives(),
    compute: ({ flats, sides }) =>
      POLYGONS.includes(sides)
        ? result(flats * cornersPerFlats(sides))
        : impossible('flats-to-corners', 'otherSides'),
  }),
  construction({
    id: 'corners-to-flats',
    inputs: [length('corners'), count('sides', 6)],
    results: gives(),
    compute: ({ corners, sides }) =>
      POLYGONS.includes(sides)
        ? result(corners / cornersPerFlats(sides))
        : impossible('corners-to-flats', 'otherSides'),
  }),
  construction({
    id: 'pitch-over-many',
    inputs: [length('over'), count('steps')],
    results: gives(),
    compute: ({ over, steps }) => result(over / steps),
  }),
];

const ANGLES: readonly Construction[] = [
  construction({
    id: 'taper',
    inputs: [length('wide'), length('narrow'), length('apart')],
    results: [
      { key: 'angle', quantity: 'angle' },
      { key: 'per100', quantity: 'length' },
    ],
    compute({ wide, narrow, apart }) {
      if (!(wide > narrow)) return impossible('taper', 'wideNotWiderThanNarrow', 'itself');
      return ok({
        angle: 2 * Math.atan((wide - narrow) / (2 * apart)),
        per100: (100 * (wide - narrow)) / apart,
      });
    },
  }),
  construction({
    id: 'angle-from-two',
    inputs: [length('along'), length('up')],
    results: gives('angle'),
    compute: ({ along, up }) => result(Math.atan2(up, along)),
  }),
  construction({
    id: 'angle-from-three',
    inputs: [length('first'), length('second'), length('across')],
    results: gives('angle'),
    compute({ first, second, across }) {
      const closed = triangle(first, second, across);
      return closed.ok ? result(angleOpposite(first, second, across)) : closed;
    },
  }),
  construction({
    id: 'triangle-of-holes',
    inputs: [length('base'), length('left'), length('right')],
    results: [
      { key: 'along', quantity: 'length' },
      { key: 'up', quantity: 'length' },
    ],
    compute({ base, left, right }) {
      const closed = triangle(base, left, right);
      if (!closed.ok) return closed;
      const along = (base * base + left * left - right * right) / (2 * base);
      return ok({ along, up: Math.sqrt(Math.max(0, left * left - along * along)) });
    },
  }),
];

/** All constructions, in the order in which they are offered. */
export const CONSTRUCTIONS: readonly Construction[] = [
  ...CENTRES,
  ...ROUNDS,
  ...FLATS,
  ...ANGLES,
  gearFromSpans,
  gearFromTwoSpans,
];

export const constructionOf = (id: string): Construction | undefined =>
  CONSTRUCTIONS.find((one) => one.id === id);

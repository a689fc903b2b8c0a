import { no, ok, type Fault, type Result } from '@core/fault';
import type { Quantity } from '@core/quantity';

import type { Construction, ConstructionInput, ConstructionResult } from './construction';
import { gearFromSpans, gearFromTwoSpans } from './gear';

const length = (key: string, what: string): ConstructionInput => ({ key, what, quantity: 'length' });
const count = (key: string, what: string, usual?: number): ConstructionInput =>
  usual === undefined ? { key, what, quantity: 'count' } : { key, what, quantity: 'count', usual };
const gives = (what: string, quantity: Quantity = 'length'): readonly ConstructionResult[] => [
  { key: 'result', what, quantity },
];
const result = (value: number) => ok({ result: value });
const impossible = (what: string, why: string) => no<Fault>({ code: 'construction.notPossible', what, why });

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
  {
    id: 'centres-from-both-edges',
    name: 'Centres, over and between',
    when: 'Two holes or pegs of any diameter: over their far edges and between their near edges.',
    inputs: [length('far', 'over the far edges'), length('near', 'between the near edges')],
    results: gives('centre to centre'),
    compute: ({ far, near }) =>
      far! > near!
        ? result((far! + near!) / 2)
        : impossible('centre to centre', 'over the far edges must be more than between the near ones'),
  },
  {
    id: 'centres-from-near-edges',
    name: 'Centres, from between',
    when: 'Two holes or pegs whose diameters are known: between their near edges.',
    inputs: [
      length('near', 'between the near edges'),
      length('first', 'first diameter'),
      length('second', 'second diameter'),
    ],
    results: gives('centre to centre'),
    compute: ({ near, first, second }) => result(near! + (first! + second!) / 2),
  },
  {
    id: 'centres-from-far-edges',
    name: 'Centres, from over',
    when: 'Two holes or pegs whose diameters are known: over their far edges.',
    inputs: [
      length('far', 'over the far edges'),
      length('first', 'first diameter'),
      length('second', 'second diameter'),
    ],
    results: gives('centre to centre'),
    compute: ({ far, first, second }) =>
      far! > (first! + second!) / 2
        ? result(far! - (first! + second!) / 2)
        : impossible('centre to centre', 'it is less than the two halves of the diameters'),
  },
  {
    id: 'offset-from-edge',
    name: 'Hole from an edge',
    when: 'How far a hole’s centre is from an edge: from the edge to the hole’s near rim, and the hole.',
    inputs: [length('gap', 'edge to near rim'), length('hole', 'hole diameter')],
    results: gives('edge to centre'),
    compute: ({ gap, hole }) => result(gap! + hole! / 2),
  },
];

const ROUNDS: readonly Construction[] = [
  {
    id: 'radius-from-chord',
    name: 'Radius from chord and height',
    when: 'A broken arc: straight across it, and how high it stands over that.',
    inputs: [length('chord', 'straight across'), length('height', 'height over it')],
    results: gives('radius'),
    // r = c²/8h + h/2, from the theorem of intersecting chords.
    compute: ({ chord, height }) => result((chord! * chord!) / (8 * height!) + height! / 2),
  },
  {
    id: 'radius-from-three-points',
    name: 'Radius from three points',
    when: 'Three marks on a rim: the three straight distances between them.',
    inputs: [length('first', 'mark 1 to 2'), length('second', 'mark 2 to 3'), length('third', 'mark 3 to 1')],
    results: gives('radius'),
    compute({ first, second, third }) {
      const [a, b, c] = [first!, second!, third!];
      const closed = triangle(a, b, c);
      if (!closed.ok) return closed;
      // Heron's formula in Kahan's order, which keeps its digits for flat triangles.
      const [x, y, z] = [a, b, c].sort((one, other) => other - one) as [number, number, number];
      const sixteen = (x + (y + z)) * (z - (x - y)) * (z + (x - y)) * (x + (y - z));
      if (!(sixteen > 0)) return impossible('radius', 'the three marks stand in one line');
      return result((a * b * c) / Math.sqrt(sixteen));
    },
  },
  {
    id: 'diameter-from-string',
    name: 'Diameter from a string',
    when: 'A string or strip wound tight round something: its length for so many turns, and its thickness.',
    inputs: [
      length('string', 'length of the string'),
      count('turns', 'turns', 1),
      length('thickness', 'thickness of the string'),
    ],
    results: gives('diameter'),
    // The string's middle lies half a thickness outside.
    compute: ({ string, turns, thickness }) => {
      const diameter = string! / (Math.PI * turns!) - thickness!;
      return diameter > 0
        ? result(diameter)
        : impossible('diameter', 'the string is too short for its turns and thickness');
    },
  },
  {
    id: 'bolt-circle',
    name: 'Bolt circle',
    when: 'Holes evenly round a circle: from one centre to the next, and how many there are.',
    inputs: [length('next', 'one centre to the next'), count('holes', 'number of holes')],
    results: gives('diameter of the circle'),
    compute: ({ next, holes }) =>
      holes! >= 2
        ? result(next! / Math.sin(Math.PI / holes!))
        : impossible('diameter of the circle', 'a circle needs two holes or more'),
  },
  {
    id: 'wall',
    name: 'Wall',
    when: 'A tube or a cup: outside and inside.',
    inputs: [length('outside', 'outside'), length('inside', 'inside')],
    results: gives('wall'),
    compute: ({ outside, inside }) =>
      outside! > inside!
        ? result((outside! - inside!) / 2)
        : impossible('wall', 'the outside must be more than the inside'),
  },
];

const FLATS: readonly Construction[] = [
  {
    id: 'flats-to-corners',
    name: 'Flats to corners',
    when: 'A bar or nut with 3, 4, 5, 6 or 8 sides: across its flats (from a flat to a corner for 3 and 5).',
    inputs: [length('flats', 'across the flats'), count('sides', 'number of sides', 6)],
    results: gives('across the corners'),
    compute: ({ flats, sides }) =>
      POLYGONS.includes(sides!)
        ? result(flats! * cornersPerFlats(sides!))
        : impossible('across the corners', 'the number of sides must be 3, 4, 5, 6 or 8'),
  },
  {
    id: 'corners-to-flats',
    name: 'Corners to flats',
    when: 'The same from the circle through the corners.',
    inputs: [length('corners', 'across the corners'), count('sides', 'number of sides', 6)],
    results: gives('across the flats'),
    compute: ({ corners, sides }) =>
      POLYGONS.includes(sides!)
        ? result(corners! / cornersPerFlats(sides!))
        : impossible('across the flats', 'the number of sides must be 3, 4, 5, 6 or 8'),
  },
  {
    id: 'pitch-over-many',
    name: 'Pitch over many',
    when: 'Threads, holes or teeth in a row: the length over so many steps from one to the next.',
    inputs: [length('over', 'length over them'), count('steps', 'steps from one to the next')],
    results: gives('pitch'),
    compute: ({ over, steps }) => result(over! / steps!),
  },
];

const ANGLES: readonly Construction[] = [
  {
    id: 'taper',
    name: 'Taper',
    when: 'A cone or a tapered plug: the wide end, the narrow end, and how far apart they are.',
    inputs: [
      length('wide', 'wide diameter'),
      length('narrow', 'narrow diameter'),
      length('apart', 'length between'),
    ],
    results: [
      { key: 'angle', what: 'angle of the whole cone', quantity: 'angle' },
      { key: 'per100', what: 'taper on 100 mm', quantity: 'length' },
    ],
    compute({ wide, narrow, apart }) {
      if (!(wide! > narrow!)) return impossible('taper', 'the wide end must be wider than the narrow one');
      return ok({
        angle: 2 * Math.atan((wide! - narrow!) / (2 * apart!)),
        per100: (100 * (wide! - narrow!)) / apart!,
      });
    },
  },
  {
    id: 'angle-from-two',
    name: 'Angle from a rise',
    when: 'A slope: how far along, and how far up, square to it.',
    inputs: [length('along', 'along'), length('up', 'up')],
    results: gives('angle of the slope', 'angle'),
    compute: ({ along, up }) => result(Math.atan2(up!, along!)),
  },
  {
    id: 'angle-from-three',
    name: 'Angle from three lengths',
    when: 'An arm with a bend: from the bend along each leg to a mark, and straight from mark to mark.',
    inputs: [
      length('first', 'bend to mark 1'),
      length('second', 'bend to mark 2'),
      length('across', 'mark to mark'),
    ],
    results: gives('angle at the bend', 'angle'),
    compute({ first, second, across }) {
      const closed = triangle(first!, second!, across!);
      return closed.ok ? result(angleOpposite(first!, second!, across!)) : closed;
    },
  },
  {
    id: 'triangle-of-holes',
    name: 'Triangle of holes',
    when: 'Three holes: the three centre distances. Gives where the third stands from the first two.',
    inputs: [length('base', 'hole 1 to 2'), length('left', 'hole 1 to 3'), length('right', 'hole 2 to 3')],
    results: [
      { key: 'along', what: 'third hole, along from the first', quantity: 'length' },
      { key: 'up', what: 'third hole, up from the line', quantity: 'length' },
    ],
    compute({ base, left, right }) {
      const closed = triangle(base!, left!, right!);
      if (!closed.ok) return closed;
      const along = (base! * base! + left! * left! - right! * right!) / (2 * base!);
      return ok({ along, up: Math.sqrt(Math.max(0, left! * left! - along * along)) });
    },
  },
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
  CONSTRUCTIONS.find((construction) => construction.id === id);

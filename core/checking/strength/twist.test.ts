import type { FlatSection } from './section';
import { howStrong, sectionProperties, twistProperties } from '.';

/** Between two polygons of as many corners, the inner of which may be a point. */
function ring(
  outer: (angle: number) => [number, number],
  inner: (angle: number) => [number, number],
): FlatSection {
  const count = 120;
  const angles = Array.from({ length: count }, (_, at) => (2 * Math.PI * at) / count);
  const triangles = angles.flatMap((_, at): [number, number, number][] => {
    const next = (at + 1) % count;
    return [
      [at, next, count + at],
      [next, count + next, count + at],
    ];
  });
  return { points: [...angles.map(outer), ...angles.map(inner)], triangles };
}
const ellipse =
  (a: number, b: number, x = 0) =>
  (angle: number): [number, number] => [x + a * Math.cos(angle), b * Math.sin(angle)];
const rectangle = (breadth: number, height: number): FlatSection => ({
  points: [
    [0, 0],
    [breadth, 0],
    [breadth, height],
    [0, height],
  ],
  triangles: [
    [0, 1, 2],
    [0, 2, 3],
  ],
});
const of = (section: FlatSection) => twistProperties(section)!;
const near = (value: number, wanted: number, share: number) =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(share);

test('a round bar: J = π d⁴ / 32, W = π d³ / 16', () => {
  const { constant, modulus } = of(ring(ellipse(5, 5), ellipse(0, 0)));
  near(constant, (Math.PI * 10 ** 4) / 32, 0.02);
  near(modulus, (Math.PI * 10 ** 3) / 16, 0.03);
});

test('rectangles by Saint-Venant’s series: 0.1406, 0.2287 and 0.3123 b h³', () => {
  // Roark, table 10.7: stress T / (α b h²) with α 0.208, 0.246 and 0.312.
  for (const [breadth, constant, alpha] of [
    [4, 0.1406, 0.208],
    [8, 0.2287, 0.246],
    [40, 0.3123, 0.312],
  ] as const) {
    const found = of(rectangle(breadth, 4));
    near(found.constant, constant * breadth * 4 ** 3, 0.02);
    near(found.modulus, alpha * breadth * 4 ** 2, 0.04);
  }
});

test('an ellipse 2 : 1: J = π a³ b³ / (a² + b²), W = π a b² / 2', () => {
  const { constant, modulus } = of(ring(ellipse(8, 4), ellipse(0, 0)));
  near(constant, (Math.PI * 8 ** 3 * 4 ** 3) / (64 + 16), 0.02);
  near(modulus, (Math.PI * 8 * 16) / 2, 0.03);
});

test('a tube keeps what its hole takes nothing from: Bredt and the difference of two bars', () => {
  const { constant, modulus } = of(ring(ellipse(10, 10), ellipse(7, 7)));
  near(constant, (Math.PI / 2) * (10 ** 4 - 7 ** 4), 0.03);
  near(modulus, ((Math.PI / 2) * (10 ** 4 - 7 ** 4)) / 10, 0.08);
  // Slit open it has next to nothing left: a strip as long as its mean circle.
  const slit = ring(ellipse(10, 10), ellipse(7, 7));
  const open = of({ ...slit, triangles: slit.triangles.slice(4) });
  const strip = 2 * Math.PI * 8.5 * (118 / 120);
  near(open.constant, (strip * 3 ** 3) / 3, 0.06);
});

/** What lies between an outer and an inner rectangle, as four bars that meet at their corners. */
function hollow(breadth: number, height: number, wall: number): FlatSection {
  const [b, h] = [breadth / 2, height / 2];
  const corners = (x: number, y: number): [number, number][] => [
    [-x, -y],
    [x, -y],
    [x, y],
    [-x, y],
  ];
  return {
    points: [...corners(b, h), ...corners(b - wall, h - wall)],
    triangles: [0, 1, 2, 3].flatMap((at): [number, number, number][] => {
      const next = (at + 1) % 4;
      return [
        [at, next, 4 + at],
        [next, 4 + next, 4 + at],
      ];
    }),
  };
}

test.each([
  [40, 40, 1],
  [60, 30, 1],
  [30, 20, 1],
  [80, 40, 1.2],
])(
  'a thin box %d by %d with a wall of %d: Bredt, 4 A² t / U, and 2 A t less what the wall itself is twisted',
  (breadth, height, wall) => {
    const { constant, modulus } = of(hollow(breadth, height, wall));
    const [b, h] = [breadth - wall, height - wall];
    near(constant, (4 * (b * h) ** 2 * wall) / (2 * (b + h)), 0.05);
    // On its outer side a wall bears more than in its middle, by U t / 2 A of it (Timoshenko, 115).
    near(modulus, (2 * b * h * wall) / (1 + (2 * (b + h) * wall) / (2 * b * h)), 0.03);
  },
);

test.each([
  [40, 1],
  [20, 1],
  [60, 1.5],
])('a thin tube of %d with a wall of %d: π (D⁴ − d⁴) / 32 and / 16 D', (diameter, wall) => {
  const { constant, modulus } = of(
    ring(ellipse(diameter / 2, diameter / 2), ellipse(diameter / 2 - wall, diameter / 2 - wall)),
  );
  const polar = (Math.PI / 32) * (diameter ** 4 - (diameter - 2 * wall) ** 4);
  near(constant, polar, 0.05);
  near(modulus, polar / (diameter / 2), 0.05);
});

test.each([
  [100, 1],
  [50, 1],
  [60, 2],
  [30, 3],
])('a narrow strip %d by %d: b h³ / 3 less 0.21 h⁴, and that over h', (breadth, height) => {
  const { constant, modulus } = of(rectangle(breadth, height));
  const wanted = (breadth * height ** 3) / 3 - 0.21 * height ** 4;
  near(constant, wanted, 0.05);
  near(modulus, wanted / height, 0.05);
  // Slanted, its edges do not run along the grid.
  const turned = rectangle(breadth, height);
  const slant: FlatSection = {
    ...turned,
    points: turned.points.map(([x, y]) => [0.8 * x - 0.6 * y, 0.6 * x + 0.8 * y] as const),
  };
  near(of(slant).constant, wanted, 0.05);
  near(of(slant).modulus, wanted / height, 0.07);
});

test('two rooms side by side carry hardly more than one without the wall between them', () => {
  const walls = (...all: [number, number, number, number][]): FlatSection => ({
    points: all.flatMap(([x0, x1, y0, y1]): [number, number][] => [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ]),
    triangles: all.flatMap((_, at) => [
      [4 * at, 4 * at + 1, 4 * at + 2] as const,
      [4 * at, 4 * at + 2, 4 * at + 3] as const,
    ]),
  });
  const outer: [number, number, number, number][] = [
    [0, 41, 0, 1],
    [0, 41, 20, 21],
    [0, 1, 1, 20],
    [40, 41, 1, 20],
  ];
  const [one, two] = [of(walls(...outer)), of(walls(...outer, [20, 21, 1, 20]))];
  // By symmetry nothing flows in the wall between equal rooms.
  near(two.constant, one.constant, 0.02);
});

test('nothing has nothing', () => {
  expect(twistProperties({ points: [], triangles: [] })).toBeNull();
  expect(
    twistProperties({
      points: [
        [0, 0],
        [4, 0],
        [8, 0],
      ],
      triangles: [[0, 1, 2]],
    }),
  ).toBeNull();
});

test('a twisted bar bears by its shear, and has to be thicker by the cube root of what is missing', () => {
  const section = rectangle(4, 4);
  const own = sectionProperties(section)!;
  const found = howStrong(
    section,
    own,
    { kind: 'twisted', forceN: 40, leverMm: 20 },
    { alongMpa: 20, across: 1, angle: 0 },
  );
  const shear = 800 / of(section).modulus;
  expect(found.stress).toMatchObject({ normalMpa: 0, shearMpa: shear, togetherMpa: Math.sqrt(3) * shear });
  expect(found.mostN).toBeCloseTo((40 * 20) / (Math.sqrt(3) * shear), 9);
  expect(found.thicker).toBeCloseTo(Math.cbrt((Math.sqrt(3) * shear) / 20), 9);
});

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

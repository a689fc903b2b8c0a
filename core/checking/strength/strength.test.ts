import { evaluateRepair } from '@core/fitting/fit';
import { CUT_TAG, FILE_QUALITY, frameFacing, squareCut } from '@core/shaping/part';
import { BodyBuilder, cutOpen } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import {
  bentBy,
  bentWorst,
  borne,
  howStrong,
  pulledBy,
  sectionOfMesh,
  sectionProperties,
  type FlatSection,
} from '.';

type Point = readonly [number, number];

/** Rectangles as one section: corners from x to x, y to y. */
const rectangles = (...all: [x0: number, x1: number, y0: number, y1: number][]): FlatSection => ({
  points: all.flatMap(([x0, x1, y0, y1]): Point[] => [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ]),
  triangles: all.flatMap((_, index) => [
    [4 * index, 4 * index + 1, 4 * index + 2] as const,
    [4 * index, 4 * index + 2, 4 * index + 3] as const,
  ]),
});

const turned = ({ points, triangles }: FlatSection, by: number): FlatSection => ({
  points: points.map(([x, y]): Point => [
    x * Math.cos(by) - y * Math.sin(by),
    x * Math.sin(by) + y * Math.cos(by),
  ]),
  triangles,
});

test('a rectangle wherever it stands: b h³ / 12', () => {
  expect(sectionProperties(rectangles([10, 16, -3, 1]))).toMatchObject({
    areaMm2: 24,
    middle: [13, -1],
    ixx: expect.closeTo((6 * 4 ** 3) / 12, 9),
    iyy: expect.closeTo((4 * 6 ** 3) / 12, 9),
    ixy: expect.closeTo(0, 9),
    breadth: 6,
    height: 4,
  });
  expect(sectionProperties({ points: [], triangles: [] })).toBeNull();
});

test('a T of two rectangles, by Steiner', () => {
  // Flange 20 × 4 on a web 4 × 16: its middle lies (80 · 18 + 64 · 8) / 144 up.
  const up = (80 * 18 + 64 * 8) / 144;
  const own = sectionProperties(rectangles([-10, 10, 16, 20], [-2, 2, 0, 16]))!;
  expect(own.middle[1]).toBeCloseTo(up, 12);
  expect(own.ixx).toBeCloseTo(
    (20 * 4 ** 3) / 12 + 80 * (18 - up) ** 2 + (4 * 16 ** 3) / 12 + 64 * (8 - up) ** 2,
    9,
  );
  expect(own.iyy).toBeCloseTo((4 * 20 ** 3) / 12 + (16 * 4 ** 3) / 12, 9);
});

test('turned, a section has the same principal moments, along axes that turned with it', () => {
  const angle = rectangles([0, 20, 0, 3], [0, 3, 3, 30]);
  const plain = sectionProperties(angle)!;
  for (const by of [0.2, 0.9, 2.5]) {
    const own = sectionProperties(turned(angle, by))!;
    expect(own.largest).toBeCloseTo(plain.largest, 7);
    expect(own.least).toBeCloseTo(plain.least, 7);
    expect(Math.sin(2 * (own.turn - plain.turn - by))).toBeCloseTo(0, 9);
  }
  // Invariants of the tensor.
  expect(plain.largest + plain.least).toBeCloseTo(plain.ixx + plain.iyy, 9);
  expect(plain.largest * plain.least).toBeCloseTo(plain.ixx * plain.iyy - plain.ixy ** 2, 4);
});

test('a bar 6 by 4 on its lever: 6 F L / b h²', () => {
  const section = rectangles([-3, 3, -2, 2]);
  const own = sectionProperties(section)!;
  const along = (way: number) => bentBy(section, own, 50, 30, way).normalMpa;
  expect(along(Math.PI / 2)).toBeCloseTo((6 * 50 * 30) / (6 * 4 ** 2), 9);
  expect(along(0)).toBeCloseTo((6 * 50 * 30) / (4 * 6 ** 2), 9);
  // Towards a corner: both at once.
  const [sin, cos] = [Math.sin(0.7), Math.cos(0.7)];
  expect(along(0.7)).toBeCloseTo(sin * along(Math.PI / 2) + cos * along(0), 9);
  const worst = bentWorst(section, own, 50, 30);
  // Largest where both add up best: √ of the sum of squares.
  expect(worst.normalMpa / Math.hypot(along(0), along(Math.PI / 2))).toBeCloseTo(1, 3);
  expect(worst.shearMpa).toBeCloseTo((1.5 * 50) / 24, 12);
  expect(pulledBy(own, 240)).toMatchObject({ normalMpa: 10, shearMpa: 0, togetherMpa: 10, way: null });
  // Short and thick, it shears before it bends.
  expect(bentWorst(section, own, 50, 0.1).togetherMpa).toBeCloseTo((Math.sqrt(3) * 75) / 24, 9);
});

test('an angle section bends as it does, however its axes are chosen', () => {
  const angle = rectangles([0, 20, 0, 3], [0, 3, 3, 30]);
  for (const by of [0.3, 1.1]) {
    const other = turned(angle, by);
    const [one, two] = [sectionProperties(angle)!, sectionProperties(other)!];
    for (const way of [0, 0.5, 1.9]) {
      expect(bentBy(other, two, 10, 40, way + by).normalMpa).toBeCloseTo(
        bentBy(angle, one, 10, 40, way).normalMpa,
        9,
      );
    }
  }
});

test('what it bears goes with the load, and what would do with what is missing', () => {
  const section = rectangles([-3, 3, -2, 2]);
  const own = sectionProperties(section)!;
  const made = { alongMpa: 40, across: 0.5, angle: Math.PI / 2 };
  const bent = howStrong(section, own, { kind: 'bent', forceN: 50, leverMm: 30 }, made);
  expect(bent.borneMpa).toBeCloseTo(20, 12);
  expect(bent.times).toBeCloseTo(20 / bent.stress.normalMpa, 12);
  expect(bent.mostN).toBeCloseTo(50 * bent.times, 12);
  const most = howStrong(section, own, { kind: 'bent', forceN: bent.mostN, leverMm: 30 }, made);
  expect(most.times).toBeCloseTo(1, 9);
  // As much thicker as it says, along the way that it bends worst as along the other, it just does.
  const s = bent.thicker!;
  const thicker = rectangles([-3 * s, 3 * s, -2 * s, 2 * s]);
  const after = howStrong(
    thicker,
    sectionProperties(thicker)!,
    { kind: 'bent', forceN: 50, leverMm: 30 },
    made,
  );
  expect(after.times).toBeGreaterThanOrEqual(1);
  // Twice the area for twice the pull.
  const pulled = howStrong(section, own, { kind: 'pulled', forceN: 960 }, made);
  expect(pulled).toMatchObject({ times: 0.5, mostN: 480, thicker: 2 });
  expect(howStrong(section, own, { kind: 'pulled', forceN: 480 }, made).thicker).toBeNull();
});

test('what layers bear: along, across, and between', () => {
  expect(borne(40, 0.5, 0)).toBe(40);
  expect(borne(40, 0.5, Math.PI / 2)).toBeCloseTo(20, 12);
  // 1 / √(0.5 + 0.5 · 4) of it at 45°.
  expect(borne(40, 0.5, Math.PI / 4)).toBeCloseTo(40 / Math.sqrt(2.5), 12);
  for (const angle of [0, 0.4, 1.2]) expect(borne(40, 1, angle)).toBeCloseTo(40, 12);
});

test('the section of a tube that was cut open: π (D⁴ − d⁴) / 64', async () => {
  const kernel = await testKernel();
  const { repair } = new RepairDraft('x').body('b', 'b', [
    stepOf('disc', { diameter: 20, width: 30 }, 'tube'),
    stepOf('hole', { diameter: 12, depth: 'through', on: 'top', x: 0, y: 0 }, 'bore'),
  ]);
  const builder = new BodyBuilder(kernel);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const plane = squareCut('z', 11, 1);
  const { mesh } = cutOpen(built.solid!, built.box!, plane, FILE_QUALITY, 1)!;
  const frame = frameFacing([0, 0, 11], plane.towards);
  const faces = mesh.faces.filter(({ tag }) => tag === CUT_TAG);
  const own = sectionProperties(sectionOfMesh(mesh, faces, frame.origin, frame))!;
  expect(own.areaMm2 / (Math.PI * (100 - 36))).toBeCloseTo(1, 2);
  expect(own.ixx / ((Math.PI / 64) * (20 ** 4 - 12 ** 4))).toBeCloseTo(1, 2);
  expect(own.iyy / own.ixx).toBeCloseTo(1, 3);
  builder.dispose();
});

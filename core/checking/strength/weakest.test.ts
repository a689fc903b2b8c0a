import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import { manifoldKernel, meshOfManifold } from '@core/testing/manifold';

import { cutSections, planeThrough } from './cutSection';
import { twistProperties } from './twist';
import { weakestSection, type HeldLoad, type PrintedMaterial } from './weakest';

const made: PrintedMaterial = { alongMpa: 30, across: 0.5, down: null, shell: null };
const printed: PrintedMaterial = { ...made, down: [0, 0, -1] };
const degrees = (angle: number) => (angle * Math.PI) / 180;

/** An arm 60 long, 6 wide, 4 high, along x from 0. */
const arm = async (): Promise<WeldedMesh> => {
  const { Manifold } = await manifoldKernel();
  return meshOfManifold(Manifold.cube([60, 6, 4]).translate([0, -3, 0]));
};
const load: HeldLoad = { forceN: 50, way: [0, 0, -1], at: [60, 0, 4], heldAt: [0, 0, 2] };

test('a section of a hollow bar has the area and moments of the tables', async () => {
  const { Manifold } = await manifoldKernel();
  const bar = Manifold.cube([30, 10, 8])
    .translate([0, -5, -4])
    .subtract(Manifold.cube([40, 6, 4]).translate([-5, -3, -2]));
  const [section, ...more] = cutSections(meshOfManifold(bar), planeThrough([12.3, 0, 0], [1, 0, 0]));
  expect(more).toHaveLength(0);
  expect(section!.areaMm2).toBeCloseTo(10 * 8 - 6 * 4, 4);
  // b h³ / 12 both ways, outside less inside.
  const [small, large] = [section!.ixx, section!.iyy].sort((a, b) => a - b);
  expect(small).toBeCloseTo((10 * 8 ** 3 - 6 * 4 ** 3) / 12, 2);
  expect(large).toBeCloseTo((8 * 10 ** 3 - 4 * 6 ** 3) / 12, 2);
  expect(section!.ixy).toBeCloseTo(0, 3);
});

test('an arm that is pressed at its end is weakest where it is held: M c / I', async () => {
  const weakest = weakestSection(await arm(), load, printed)!;
  // 50 N at 60 mm on a section 6 wide and 4 high: 3000 · 6 / (6 · 16).
  expect(weakest.stressMpa / ((50 * 60 * 6) / (6 * 4 ** 2))).toBeGreaterThan(0.95);
  expect(weakest.stressMpa / ((50 * 60 * 6) / (6 * 4 ** 2))).toBeLessThan(1.02);
  expect(Math.abs(weakest.plane.normal[0])).toBeGreaterThan(0.999);
  // Its layers lie along the pull.
  expect(weakest.borneMpa).toBeCloseTo(30, 1);
  expect(weakest.mostN).toBeCloseTo((weakest.borneMpa / weakest.stressMpa) * 50, 6);
  expect(weakest.thicker).toBeCloseTo(Math.sqrt(weakest.stressMpa / weakest.borneMpa), 6);
});

test('made as thick as it says, it just bears it', async () => {
  const { Manifold } = await manifoldKernel();
  const { thicker } = weakestSection(await arm(), load, made)!;
  const high = 4 * thicker!;
  const thick = meshOfManifold(Manifold.cube([60, 6, high]).translate([0, -3, 0]));
  const { times } = weakestSection(thick, { ...load, at: [60, 0, high], heldAt: [0, 0, high / 2] }, made)!;
  expect(times).toBeGreaterThan(0.97);
  expect(times).toBeLessThan(1.06);
});

test('stood on its end its layers are pulled apart, and it bears half as much', async () => {
  const mesh = await arm();
  const standing = weakestSection(mesh, load, { ...made, down: [-1, 0, 0] })!;
  expect(standing.borneMpa).toBeCloseTo(15, 2);
  expect(standing.isAcross).toBe(true);
});

test('a notch half way is found, if it is deep enough', async () => {
  const { Manifold } = await manifoldKernel();
  // Half as high between 28 and 32 mm: half the moment on a quarter of the modulus.
  const notched = Manifold.cube([60, 6, 4])
    .translate([0, -3, 0])
    .subtract(Manifold.cube([4, 8, 3]).translate([28, -4, 2]));
  const weakest = weakestSection(meshOfManifold(notched), load, made)!;
  expect(weakest.plane.origin[0]).toBeGreaterThan(27.5);
  expect(weakest.plane.origin[0]).toBeLessThan(32.5);
  const wanted = (50 * (60 - weakest.plane.origin[0]) * 6) / (6 * 2 ** 2);
  expect(weakest.stressMpa / wanted).toBeGreaterThan(0.93);
  expect(weakest.stressMpa / wanted).toBeLessThan(1.07);
});

describe('limbs at any slant', () => {
  /** A peg of a round or square section on a block, leaning by an angle in a direction. */
  async function peg(slant: number, turn: number, round: boolean) {
    const { Manifold } = await manifoldKernel();
    const length = 40;
    const limb = round
      ? Manifold.cylinder(length + 12, 5, 5, 96).translate([0, 0, -12])
      : Manifold.cube([8, 10, length + 12]).translate([-4, -5, -12]);
    const leaning = limb.rotate([0, slant, 0]).rotate([0, 0, turn]);
    const below = Manifold.cube([120, 120, 40]).translate([-60, -60, -40]);
    const mesh = meshOfManifold(leaning.add(below));
    const [sin, cos] = [Math.sin(degrees(slant)), Math.cos(degrees(slant))];
    const axis: Vec3 = [sin * Math.cos(degrees(turn)), sin * Math.sin(degrees(turn)), cos];
    const square: Vec3 = [cos * Math.cos(degrees(turn)), cos * Math.sin(degrees(turn)), -sin];
    const end: Vec3 = [axis[0] * length, axis[1] * length, axis[2] * length];
    const across: Vec3 = [-Math.sin(degrees(turn)), Math.cos(degrees(turn)), 0];
    return { mesh, axis, square, across, end, length };
  }
  const within = (value: number, wanted: number) => {
    expect(value / wanted).toBeGreaterThan(0.9);
    expect(value / wanted).toBeLessThan(1.1);
  };
  const slants = [0, 15, 30, 45, 60].flatMap((slant) => [0, 35].map((turn) => [slant, turn] as const));

  test.each(slants)(
    'leaning by %d, turned by %d: bent at its end it bears M c / I at its root',
    async (slant, turn) => {
      for (const round of [true, false]) {
        const { mesh, square, across, end, length } = await peg(slant, turn, round);
        const held: Vec3 = [0, 0, -2];
        const one = weakestSection(mesh, { forceN: 20, way: square, at: end, heldAt: held }, made)!;
        within(one.stressMpa, round ? (20 * length * 32) / (Math.PI * 1000) : (20 * length * 6) / (10 * 64));
        const other = weakestSection(mesh, { forceN: 20, way: across, at: end, heldAt: held }, made)!;
        within(
          other.stressMpa,
          round ? (20 * length * 32) / (Math.PI * 1000) : (20 * length * 6) / (8 * 100),
        );
      }
    },
  );

  test.each(slants)(
    'leaning by %d, turned by %d: pulled along itself it bears F / A',
    async (slant, turn) => {
      const { mesh, axis, end } = await peg(slant, turn, true);
      const found = weakestSection(mesh, { forceN: 100, way: axis, at: end, heldAt: [0, 0, -2] }, made)!;
      within(found.normalMpa, 100 / (Math.PI * 25));
    },
  );

  test.each(slants)(
    'leaning by %d, turned by %d: twisted by a load beside its axis, bending and twisting count together',
    async (slant, turn) => {
      const { Manifold } = await manifoldKernel();
      const { mesh: _mesh, across, square, end, length } = await peg(slant, turn, true);
      // A crank at its end, 30 to the side, stout enough not to be the weakest.
      const limb = Manifold.cylinder(length + 12, 5, 5, 96).translate([0, 0, -12]);
      const crank = Manifold.cube([14, 38, 14]).translate([-7, -7, length - 14]);
      const whole = limb.add(crank).rotate([0, slant, 0]).rotate([0, 0, turn]);
      const mesh = meshOfManifold(whole.add(Manifold.cube([120, 120, 40]).translate([-60, -60, -40])));
      const axis: Vec3 = [end[0] / length, end[1] / length, end[2] / length];
      const at: Vec3 = [0, 1, 2].map((k) => axis[k]! * (length - 7) + across[k]! * 30) as unknown as Vec3;
      const found = weakestSection(mesh, { forceN: 20, way: square, at, heldAt: [0, 0, -2] }, made)!;
      const bent = (20 * (length - 7) * 32) / (Math.PI * 1000);
      const twisted = (20 * 30 * 16) / (Math.PI * 1000);
      within(found.stressMpa, Math.hypot(bent, Math.sqrt(3) * twisted));
      within(found.twistMpa, twisted);
    },
  );
});

test('a load beside the middle twists a strip, by its own stress function', async () => {
  const { Manifold } = await manifoldKernel();
  const mesh = meshOfManifold(
    Manifold.cube([60, 20, 2])
      .translate([0, -10, -1])
      .add(Manifold.cube([16, 60, 20]).translate([52, -10, -10])),
  );
  const found = weakestSection(
    mesh,
    { forceN: 10, way: [0, 0, -1], at: [60, 40, 0], heldAt: [0, 0, 0] },
    made,
  )!;
  const strip = twistProperties({
    points: [
      [0, 0],
      [20, 0],
      [20, 2],
      [0, 2],
    ],
    triangles: [
      [0, 1, 2],
      [0, 2, 3],
    ],
  })!;
  expect(found.twistMpa / ((10 * 40) / strip.modulus)).toBeGreaterThan(0.9);
  expect(found.twistMpa / ((10 * 40) / strip.modulus)).toBeLessThan(1.1);
});

test('where a load can go two ways round nothing is claimed', async () => {
  const { Manifold } = await manifoldKernel();
  const ring = Manifold.cylinder(6, 30, 30, 64).subtract(
    Manifold.cylinder(8, 24, 24, 64).translate([0, 0, -1]),
  );
  const mesh = meshOfManifold(ring);
  expect(
    weakestSection(mesh, { forceN: 10, way: [1, 0, 0], at: [30, 0, 3], heldAt: [-30, 0, 3] }, made),
  ).toBeNull();
  // Two arms that hang together nowhere, the load between them.
  const fork = Manifold.cube([60, 4, 4])
    .translate([0, -8, 0])
    .add(Manifold.cube([60, 4, 4]).translate([0, 4, 0]));
  expect(weakestSection(meshOfManifold(fork), load, made)).toBeNull();
  // Cut open on one side, the ring is a single limb again.
  const open = ring.subtract(Manifold.cube([10, 20, 10]).translate([-5, 20, -2]));
  expect(
    weakestSection(
      meshOfManifold(open),
      { forceN: 10, way: [1, 0, 0], at: [30, 0, 3], heldAt: [-30, 0, 3] },
      made,
    ),
  ).not.toBeNull();
});

test('an arm that turns a corner is cut square to itself on both sides of it', async () => {
  const { Manifold } = await manifoldKernel();
  // An angle: 50 up, 50 across, 6 square; pressed down at its end.
  const angle = Manifold.cube([6, 6, 50]).add(Manifold.cube([50, 6, 6]).translate([0, 0, 44]));
  const found = weakestSection(
    meshOfManifold(angle),
    { forceN: 10, way: [0, 0, -1], at: [50, 3, 47], heldAt: [3, 3, 0] },
    made,
  )!;
  // Up its leg the lever is the same: 47 from the middle of it, with the push along it.
  expect(found.stressMpa / ((10 * 47 * 6) / 216 + 10 / 36)).toBeGreaterThan(0.93);
  expect(found.stressMpa / ((10 * 47 * 6) / 216 + 10 / 36)).toBeLessThan(1.12);
});

test('walls round an infill: of what lies within them its share counts', async () => {
  const { Manifold } = await manifoldKernel();
  const bar = meshOfManifold(Manifold.cube([60, 12, 10]).translate([0, -6, -5]));
  const push: HeldLoad = { forceN: 50, way: [0, 0, -1], at: [60, 0, 5], heldAt: [0, 0, 0] };
  const stressWith = (infill: number) =>
    weakestSection(bar, push, { ...made, shell: { wallMm: 1.2, infill } })!.stressMpa;
  const solid = weakestSection(bar, push, made)!.stressMpa;
  expect(stressWith(1)).toBeCloseTo(solid, 9);
  const whole = 12 * 10 ** 3;
  const core = 9.6 * 7.6 ** 3;
  expect(stressWith(0.2) / solid).toBeCloseTo(whole / (whole - 0.8 * core), 2);
  expect(stressWith(0) / solid).toBeCloseTo(whole / (whole - core), 2);
});

test('bars of all proportions, turned, held at a corner or in the middle: M c / I, never a sliver of their end', async () => {
  const { Manifold } = await manifoldKernel();
  let tried = 0;
  for (const high of [2, 4, 5.7, 8]) {
    for (const length of [30, 60, 130]) {
      for (const turn of [0, 20, 45]) {
        for (const share of [0.02, 0.5]) {
          const bar = Manifold.cube([length, 6, high])
            .translate([-length / 2, -3, 0])
            .rotate([0, 0, turn]);
          const [cos, sin] = [Math.cos(degrees(turn)), Math.sin(degrees(turn))];
          const half = length / 2;
          const found = weakestSection(
            meshOfManifold(bar),
            {
              forceN: 10,
              way: [0, 0, -1],
              at: [half * cos, half * sin, high],
              heldAt: [-half * cos, -half * sin, high * share],
            },
            made,
          )!;
          const ratio = found.stressMpa / ((10 * length) / high ** 2);
          expect(ratio).toBeGreaterThan(0.87);
          expect(ratio).toBeLessThan(1.05);
          tried += 1;
        }
      }
    }
  }
  expect(tried).toBe(72);
});

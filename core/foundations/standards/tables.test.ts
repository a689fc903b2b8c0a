import { HARDWARE_HOLES } from './holes';
import { leastFlatsMm } from './hexagons';
import { STANDARD_THINGS } from './likely';
import { MATERIALS } from '@core/record/workshop';
import { PIPES_MM } from './stock';
import { externalMajorMm, internalMinorMm, THREADS } from './threads';

const thread = (name: string) => THREADS.find((one) => one.name === name)!;

describe('threads against their standards', () => {
  test.each([
    // ISO 228-1:2000, table 1: minor diameters of inside threads, and how small an outside one may be.
    ['G 1/8', 8.566, 8.848, 9.514],
    ['G 1/4', 11.445, 11.89, 12.907],
    ['G 3/8', 14.95, 15.395, 16.412],
    ['G 1/2', 18.631, 19.172, 20.671],
    ['G 3/4', 24.117, 24.658, 26.157],
    ['G 1', 30.291, 30.931, 32.889],
  ])('%s', (name, least, most, smallest) => {
    const inside = internalMinorMm(thread(name));
    expect(inside.from).toBeCloseTo(least, 2);
    expect(inside.to).toBeCloseTo(most, 2);
    const outside = externalMajorMm(thread(name));
    expect(outside.from).toBeCloseTo(smallest, 3);
    // Nothing above the size itself.
    expect(outside.to).toBe(thread(name).majorMm);
  });

  test.each([
    // ASME B1.1-2003, table 2: minor diameters of class 2B, inches.
    ['No. 6-32 UNC', 0.104, 0.114],
    ['No. 8-32 UNC', 0.13, 0.139],
    ['No. 10-24 UNC', 0.145, 0.156],
    ['1/4-20 UNC', 0.196, 0.207],
    ['1/4-28 UNF', 0.211, 0.22],
    ['3/8-16 UNC', 0.307, 0.321],
    ['1/2-13 UNC', 0.417, 0.434],
    ['3/4-10 UNC', 0.642, 0.663],
  ])('%s, inside', (name, least, most) => {
    const { from, to } = internalMinorMm(thread(name));
    expect(Math.abs(from / 25.4 - least)).toBeLessThan(0.0006);
    expect(Math.abs(to / 25.4 - most)).toBeLessThan(0.0006);
  });

  test.each([
    // ISO 965-2: 6H minor and 6g major, mm.
    ['M6', 4.917, 5.153, 5.794, 5.974],
    ['M8', 6.647, 6.912, 7.76, 7.972],
    ['M10', 8.376, 8.676, 9.732, 9.968],
    ['M12', 10.106, 10.441, 11.701, 11.966],
  ])('%s', (name, least, most, smallest, largest) => {
    const [inside, outside] = [internalMinorMm(thread(name)), externalMajorMm(thread(name))];
    for (const [found, wanted] of [
      [inside.from, least],
      [inside.to, most],
      [outside.from, smallest],
      [outside.to, largest],
    ] as const) {
      expect(Math.abs(found - wanted)).toBeLessThan(0.006);
    }
  });
});

test.each([
  // ISO 4014 and ISO 4032, least widths across flats.
  [8, 7.64],
  [10, 9.64],
  [13, 12.57],
  [18, 17.57],
  [30, 29.16],
  [36, 35],
  [46, 45],
  [55, 53.8],
])('a hexagon of %d is no less than %d', (flats, least) => expect(leastFlatsMm(flats)).toBe(least));

test('older and inch hexagons are known beside those of ISO 272', () => {
  const limits = (name: string) => {
    const { fromMm, toMm } = STANDARD_THINGS.find(
      (thing) => thing.name === `Hexagon of ${name}, across flats`,
    )!;
    return [fromMm, toMm];
  };
  expect(limits('M10, older')).toEqual([16.73, 17]);
  // 7/16 in, 0.425 to 0.438 (ASME B18.2.1).
  expect(limits('1/4 in')).toEqual([expect.closeTo(10.795, 3), expect.closeTo(11.125, 3)]);
});

test('steel pipe of 21.3 measures 21.0 to 21.8', () => {
  expect(PIPES_MM).toContainEqual([21.3, 21, 21.8]);
  for (const [mm, from, to] of PIPES_MM) expect(from < mm && mm < to).toBe(true);
});

test('ring grooves are h11 and H11 below 24 mm, h12 and H12 from there', () => {
  const width = (name: string) => {
    const found = STANDARD_THINGS.find((thing) => thing.name === name)!;
    return found.toMm - found.fromMm;
  };
  // IT11 of 18 to 30 is 0.13, IT12 of the same 0.21 (ISO 286-1).
  expect(width('Ring groove on a shaft of 24')).toBeCloseTo(0.13, 3);
  expect(width('Ring groove on a shaft of 28')).toBeCloseTo(0.21, 3);
  expect(width('Ring groove in a bore of 24')).toBeCloseTo(0.21, 3);
});

/** A standard and the place in it, or that there is none. */
const NAMED =
  /^((ISO|EN|DIN|IEC|ASME|ASTM|ANSI\/ABMA|GPI) ?[\w.-]*.*(table|clause|sheets|annex|yield|heat|series|hole|drilled|3\.2)|neck finish PCO.*|usual .*)/;

test('every row says which standard it is from and where in it, or that there is none', () => {
  for (const { name, source } of [...STANDARD_THINGS, ...HARDWARE_HOLES, ...MATERIALS]) {
    expect(`${name}: ${NAMED.test(source) ? '' : source}`).toBe(`${name}: `);
  }
});

describe('rows against entries of their standards', () => {
  const limits = (name: string) => {
    const found = STANDARD_THINGS.find((thing) => thing.name === name);
    if (!found) throw new Error(name);
    return [found.fromMm, found.toMm];
  };
  test.each([
    // ISO 8752, table 1; DIN 6799, table 1 (h11 of 4 is 0.075); EN 1057, table 3.
    ['Spring pin 4, free', 4.4, 4.6],
    ['Groove of a side-on clip, shafts of 5 to 7', 3.925, 4],
    ['Copper pipe 15', 14.96, 15.04],
    ['Copper pipe 28', 27.95, 28.05],
    // DIN 40430: core 12.5 less two heights of 0.61.
    ['Nut thread Pg 7', 11.28, 11.43],
    ['Thread bottle 28-400', 27.13, 27.64],
    ['O-ring 9.25 × 1.78, inside', 9.12, 9.38],
  ])('%s measures %d to %d', (name, from, to) => {
    expect(limits(name)[0]).toBeCloseTo(from, 3);
    expect(limits(name)[1]).toBeCloseTo(to, 3);
  });

  test('an E27 cap is 26.45 over its crests with a pitch of 7 on an inch', () => {
    const cap = STANDARD_THINGS.find(({ name }) => name === 'Thread E27, lamp cap')!;
    expect(cap).toMatchObject({ toMm: 26.45, pitchMm: 25.4 / 7 });
  });

  test.each([
    // ISO 2306; ISO 7046-1 (a head of 9.4 on M4); ISO 4014 with ISO 7089 (5.45 + 1.6 + 0.4); 0.8 of 4.22 and of 2.9.
    ['M6 thread, to be cut', 5, null],
    ['M4 countersunk screw with a cross', 4.5, 9.4],
    ['M8 hexagon bolt with a washer, sunk', 9, 17],
    ['ST4.2 tapping screw, into plastic', 3.4, null],
    ['ST2.9 tapping screw, into plastic', 2.3, null],
    ['ST4.2 tapping screw, into sheet of 1 to 1.5', 3.2, null],
    ['Bearing 6.35 × 15.875 × 4.978, with a lip', 13, 15.875],
  ])('a hole for %s', (name, diameterMm, headMm) => {
    const hole = HARDWARE_HOLES.find((one) => one.name === name)!;
    expect(hole.diameterMm).toBeCloseTo(diameterMm, 9);
    if (headMm !== null) expect(hole.head).toMatchObject({ diameterMm: headMm });
  });

  test('a material bears less strain the stiffer it is against its yield: steel 235 / 210,000 / 2', () => {
    const steel = MATERIALS.find(({ id }) => id === 'steel')!;
    expect(steel.strain * 2 * steel.modulusMpa).toBeCloseTo(235, 0);
    for (const { softensAtC, family } of MATERIALS) {
      expect(softensAtC === null).toBe(family === 'metal' || family === 'wood');
    }
  });
});

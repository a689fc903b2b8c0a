import { leastFlatsMm, PIPES_MM } from './hardware';
import { STANDARD_THINGS } from './likely';
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

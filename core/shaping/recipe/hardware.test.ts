import { Step } from '@core/record/model';
import { patchForHardware, withPatch } from '@core/shaping/recipe';
import type { Kernel } from '@core/shaping/kernel';
import { cornerRadiusOf } from '@core/shaping/outline';
import { HARDWARE_HOLES } from '@core/foundations/standards';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, stepOf } from '@core/testing/pieces';

const hole = () => stepOf('hole', { diameter: 1, depth: 'through', x: 0, y: 0 }, 'hole');
const named = (name: string) => {
  const found = HARDWARE_HOLES.find((one) => one.name === name);
  if (!found) throw new Error(`no ${name}`);
  return withPatch([hole()], 'hole', patchForHardware(found))[0]!;
};

test('every hole of the tables is a step that a file takes, wider at its head than below it', () => {
  expect(HARDWARE_HOLES.length).toBeGreaterThan(80);
  expect(new Set(HARDWARE_HOLES.map(({ name }) => name)).size).toBe(HARDWARE_HOLES.length);
  for (const one of HARDWARE_HOLES) {
    const step = withPatch([hole()], 'hole', patchForHardware(one))[0];
    expect(Step.parse(step)).toEqual(step);
    const { head } = one;
    if (head.kind === 'none') continue;
    const across = head.kind === 'nut' ? head.acrossMm : head.diameterMm;
    expect({ name: one.name, wider: across > one.diameterMm }).toEqual({ name: one.name, wider: true });
  }
});

test('a bearing’s lip holds its outer ring and leaves the inner one free', () => {
  for (const { name, diameterMm, head } of HARDWARE_HOLES) {
    const size = /^Bearing (\S+) × (\S+) × (\S+),/.exec(name);
    if (!size || head.kind !== 'seat') continue;
    const [bore, outside, width] = size.slice(1).map(Number) as [number, number, number];
    expect(diameterMm).toBeLessThan(outside);
    expect(diameterMm).toBeGreaterThan((bore + outside) / 2);
    expect([head.diameterMm, head.depthMm]).toEqual([outside, width]);
  }
});

describe('built, against closed formulas', () => {
  let kernel: Kernel;
  beforeAll(async () => {
    kernel = await testKernel();
  });
  const cut = (name: string) => {
    const built = buildPiece(kernel, [block(60, 40, 20), named(name)]);
    expect(built.faults).toEqual([]);
    return 60 * 40 * 20 - built.volume;
  };

  test('a brass insert: blind, as deep as it is long and a little more', () => {
    expect(cut('M3 brass insert, pressed in hot')).toBeCloseTo(Math.PI * 4 * 6.7, 3);
  });

  test('M4: a socket head sunk, a countersunk one, and a nut', () => {
    const bore = Math.PI * 2.25 ** 2;
    expect(cut('M4 screw, going through')).toBeCloseTo(bore * 20, 3);
    expect(cut('M4 socket head screw, head sunk')).toBeCloseTo(bore * (20 - 4.4) + Math.PI * 16 * 4.4, 3);
    const deep = (8.96 - 4.5) / 2;
    const cone = ((Math.PI * deep) / 3) * (4.48 ** 2 + 4.48 * 2.25 + 2.25 ** 2);
    expect(cut('M4 countersunk screw')).toBeCloseTo(bore * (20 - deep) + cone, 3);
    // A hexagon by its corners: 3 √3 / 2 r².
    const hexagon = ((3 * Math.sqrt(3)) / 2) * cornerRadiusOf(6, 'flats', 7.2) ** 2;
    expect(cut('M4 nut, held')).toBeCloseTo(bore * (20 - 3.2) + hexagon * 3.2, 3);
  });
});

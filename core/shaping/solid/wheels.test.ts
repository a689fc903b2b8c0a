import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, plain, raised, outlineOf, stepOf } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const whole = (...steps: Step[]) => wholeVolume(kernel, ...steps);

const boxOf = (...steps: Step[]) => {
  const { box, faults } = buildPiece(kernel, steps);
  expect(faults).toEqual([]);
  return box!.map((mm) => Math.round(mm * 1e4) / 1e4 + 0);
};

const wheel = (diameter: number, width: number, more: object = {}) =>
  stepOf('disc', { diameter, width, ...more });

const plate = (more: object = {}) =>
  stepOf('plate', { length: 30, breadth: 10, thickness: 4, cornerRadius: 2, ...more });

const PLATE = (300 - (4 - Math.PI) * 4) * 4;

const disc = (diameter: number, width: number) => (Math.PI / 4) * diameter ** 2 * width;

describe('wheels, plates and pegs do all that other solids do', () => {
  const base = block(40, 20, 10);

  test('left alone they lie on the ground, on the axle line', () => {
    expect(boxOf(wheel(20, 5))).toEqual([-10, -10, 0, 10, 10, 5]);
    expect(boxOf(plate())).toEqual([-15, -5, 0, 15, 5, 4]);
  });

  test('on the top, aside, turned, lifted; on a side; held by an edge', () => {
    expect(boxOf(base, wheel(8, 3, { on: 'top', x: 12, y: 0 }))).toEqual([-20, -10, 0, 20, 10, 13]);
    expectNear(whole(base, wheel(8, 3, { on: 'top', x: 12, y: 0 })), 8000 + disc(8, 3));
    expect(boxOf(plate({ turn: Math.PI / 2, lift: 2 }))).toEqual([-5, -15, 2, 5, 15, 6]);
    expect(boxOf(base, wheel(6, 5, { on: 'right', x: 0, y: 5 }))).toEqual([-20, -10, 0, 25, 10, 10]);
    const corner = { on: 'top', x: 0, y: 0, xFrom: 'lowFlush', yFrom: 'highFlush' };
    expectNear(whole(base, plate(corner)), 8000 + PLATE);
    expect(boxOf(base, plate(corner), stepOf('split', { axis: 'z', at: 10, keep: 'high', gap: 0 }))).toEqual([
      -20, 0, 10, 10, 10, 14,
    ]);
  });

  test('cut out, kept in common, set apart', () => {
    const cut = { effect: 'cut', on: 'top', x: 0, y: 0 };
    expectNear(whole(base, wheel(12, 3, cut)), 8000 - disc(12, 3));
    expectNear(whole(base, plate(cut)), 8000 - PLATE);
    expectNear(whole(base, stepOf('peg', { diameter: 6, height: 4, ...cut })), 8000 - disc(6, 4));
    // From the ground, up into it.
    expectNear(whole(base, wheel(12, 3, { effect: 'cut' })), 8000 - disc(12, 3));
    expectNear(whole(base, wheel(12, 3, { ...cut, effect: 'common' })), disc(12, 3));
    const apart = buildPiece(kernel, [
      base,
      wheel(12, 3, { effect: 'apart', on: 'top', x: 0, y: 0, lift: 5 }),
    ]);
    expect(apart.check).toMatchObject({ pieces: 2, valid: true, closed: true });
    expectNear(apart.volume, 8000 + disc(12, 3));
  });

  test('repeated and leaned as they stand', () => {
    const low = wheel(4, 3, { on: 'top', x: -12, y: 0 });
    const row = stepOf('pattern', {
      of: low.id,
      pattern: { by: 'row', count: 3, ...plain({ dx: 12, dy: 0 }) },
    });
    expectNear(
      whole(base, { ...low, effect: 'cut' } as Step, { ...row, of: low.id } as Step),
      8000 - 3 * disc(4, 3),
    );
    const stump = stepOf('disc', { diameter: 12, width: 4, on: 'top', x: 0, y: 0 });
    const lean = { ...stepOf('draft', { held: 'bottom' }), of: stump.id, angle: Math.atan(0.25) } as Step;
    // 6 mm at the foot, 5 mm at the top: a stump of a cone.
    expectNear(whole(base, stump, lean), 8000 + ((Math.PI * 4) / 3) * (36 + 30 + 25));
  });

  test('a plate that was turned is measured along itself', () => {
    const { annotations } = buildPiece(kernel, [plate({ turn: Math.PI / 2, x: 3, y: 1 })]);
    const [first] = annotations.find(({ field }) => field === 'length')!.spans;
    const [dx, dy] = [0, 1].map((axis) => first!.to[axis]! - first!.from[axis]!) as [number, number];
    expect([Math.abs(dx) < 1e-9, Math.round(Math.abs(dy))]).toEqual([true, 30]);
  });
});

describe('a groove goes where its rim is', () => {
  const groove = (of: Step, more: object = {}) =>
    ({ ...stepOf('groove', { width: 2, depth: 1.5, ...more }), rimOf: of.id }) as Step;
  const ringOf = (diameter: number) => disc(diameter, 2) - disc(diameter - 3, 2);

  test.each([
    ['on the ground', {}],
    ['on the top, aside', { on: 'top', x: 5, y: 2 }],
    ['on a side', { on: 'right', x: 0, y: 5 }],
    ['held by its edge', { on: 'top', x: 1, y: 0, xFrom: 'lowFlush' }],
    ['tilted', { on: 'top', x: 0, y: 0, lift: 20, tilt: 0.4, effect: 'apart' }],
  ])('%s', (where, place) => {
    const rim = wheel(16, 6, place);
    const under = where === 'on the ground' ? [] : [block(40, 20, 10)];
    const before = buildPiece(kernel, [...under, rim]);
    const after = buildPiece(kernel, [...under, rim, groove(rim)]);
    expect(after.faults).toEqual([]);
    expectNear(before.volume - after.volume, ringOf(16));
  });

  test('off the middle, as far as the rim goes', () => {
    const rim = wheel(16, 6);
    const upper = outlineOf('circle', { diameter: 16 });
    const lid = (up: number) =>
      whole(rim, groove(rim, { up }), { ...raised(upper, 3, { effect: 'common', lift: 3 }) });
    // The upper half holds none of a groove in the lower one, and all of one in the upper.
    expectNear(lid(-1.5), disc(16, 3));
    expectNear(lid(1.5), disc(16, 3) - ringOf(16));
    expect(buildPiece(kernel, [rim, groove(rim, { up: 2 })]).faults).toMatchObject([
      { code: 'groove.offRim', limitMm: 2 },
    ]);
  });
});

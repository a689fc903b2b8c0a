import { moreOptions } from '@core/shaping/steps';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { gearRadii, halfToothAngle } from '@core/shaping/outline';
import { ridgeOf, THREADS, threadArea, threadForm } from '@core/foundations/standards';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf, type Piece } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]): Piece => buildPiece(kernel, steps);

const whole = (...steps: Step[]) => wholeVolume(kernel, ...steps);

describe('mouths of a threaded hole', () => {
  const hole = (size: string, length: number | 'through', eased: boolean) =>
    stepOf('thread', {
      side: 'inside',
      size,
      length,
      play: 0.1,
      made: 'modelled',
      on: 'top',
      x: 0,
      y: 0,
      ...(eased ? { eased } : {}),
    });

  test.each([
    ['M8', 'through' as const, 2],
    ['M5', 4, 1],
  ])('of %s (%s) widen at 45°', (size, length, mouths) => {
    const base = block(30, 30, 6);
    const taken = whole(base, hole(size, length, false)) - whole(base, hole(size, length, true));
    // From past the crest down to the core the cone takes what the thread left at each depth.
    const form = threadForm(THREADS.find(({ name }) => name === size)!);
    const ridge = ridgeOf(form, 'inside', 0.1)!;
    const wide = ridge.crestRadius + 0.05 * form.pitchMm;
    const slices = 4000;
    let more = 0;
    for (let slice = 0; slice < slices; slice += 1) {
      const r = ridge.coreRadius + ((wide - ridge.coreRadius) * (slice + 0.5)) / slices;
      more += (Math.PI * r * r - threadArea(form, ridge, r)) * ((wide - ridge.coreRadius) / slices);
    }
    expectNear(taken, mouths * more, 2e-3);
  });
});

describe('blends', () => {
  const square = (breadth: number) => outlineOf('rectangle', { length: 12, breadth, cornerRadius: 0 });
  const blend = (last: object, breadth = 12) => {
    const section = (at: number, more: object, broad: number) => ({
      outline: square(broad),
      at: numberValue(at),
      x: numberValue(0),
      y: numberValue(0),
      turn: 0,
      ...more,
    });
    return stepOf('loft', {
      effect: 'add',
      sections: [section(0, {}, 12), section(20, last, breadth)],
      between: 'straight',
      on: 'bottom',
      x: 0,
      y: 0,
    });
  };

  test('up to a leaning outline: a block cut off at an angle', () => {
    const tilt = Math.PI / 9;
    expectNear(whole(blend({ tilt }, 12 / Math.cos(tilt))), 12 * 12 * 20);
  });

  test('corners that meet those further on twist it, and a turn takes the twist back', () => {
    expectNear(whole(blend({})), 12 * 12 * 20);
    // Sides ruled between lines a quarter turn apart: a section at share s is a square of 12² (1 − 2s + 2s²).
    const twisted = whole(blend({ turn: Math.PI / 4 }));
    expect(twisted).toBeLessThan(12 * 12 * 20 * 0.999);
    expectNear(whole(blend({ turn: Math.PI / 2, shift: -1 })), 12 * 12 * 20);
  });
});

test('a gear whose rim is eased loses what its teeth have beyond the slope', () => {
  const teeth = { teeth: 18, pressure: Math.PI / 9, shift: 0, side: 'outside' as const };
  const gear = (rim?: number) =>
    raised(outlineOf('gear', { module: 1.5, backlash: 0.1, ...(rim ? { rim } : {}) }), 8, {});
  const made = (rim?: number) => {
    const step = gear(rim) as Extract<Step, { kind: 'extrude' }>;
    return whole({ ...step, outline: { ...step.outline, ...teeth } as typeof step.outline });
  };
  const known = { ...teeth, module: 1.5, backlash: 0.1 };
  const { tip } = gearRadii(known);
  // Beyond a radius each tooth is twice its half angle wide; both ends lose a ring of slopes.
  const rim = 0.8;
  const slices = 1500;
  let lost = 0;
  for (let slice = 0; slice < slices; slice += 1) {
    const r = tip - rim + (rim * (slice + 0.5)) / slices;
    lost += 18 * 2 * halfToothAngle(known, r) * r * (r - (tip - rim)) * (rim / slices);
  }
  expectNear(made() - made(rim), 2 * lost, 2e-3);
  expect(
    build({ ...gear(5), outline: { ...(gear(5) as never as { outline: object }).outline, ...teeth } } as Step)
      .faults,
  ).toMatchObject([{ code: 'chamfer.tooLarge' }]);
  // Neither of two things is left out unsaid; nor are they offered together.
  const eased = gear(rim) as Extract<Step, { kind: 'extrude' }>;
  const both = { ...eased, outline: { ...eased.outline, ...teeth }, draft: 0.05 } as Step;
  expect(build(both).faults).toMatchObject([{ code: 'draft.easedRim' }]);
  const offered = (step: Step) => moreOptions(step).map(({ word }) => word);
  expect(offered(both)).not.toContain('Ease its rim');
  expect(offered({ ...both, draft: undefined } as Step)).not.toContain('Lean its sides in');
});

describe('stations that are not round', () => {
  const stations = (
    section: 'oval' | 'box',
    between: 'straight' | 'smooth',
    rows: [number, number, number][],
  ) => ({
    ...stepOf('stations', { effect: 'add', on: 'bottom', x: 0, y: 0 }),
    section,
    between,
    rows: rows.map(([at, width, depth]) => ({
      at: numberValue(at),
      diameter: numberValue(width),
      depth: numberValue(depth),
    })),
  });
  /** Between sections whose width and depth both change evenly, by Simpson's rule, which is exact for squares. */
  const frustum = (h: number, [a, b]: [number, number], [c, d]: [number, number], share: number) =>
    (h / 6) * share * (a * b + 4 * ((a + c) / 2) * ((b + d) / 2) + c * d);

  test('square-edged and straight: frustums on each other', () => {
    const step = stations('box', 'straight', [
      [0, 20, 10],
      [10, 12, 16],
      [25, 18, 8],
    ]);
    expectNear(
      whole(step as unknown as Step),
      frustum(10, [20, 10], [12, 16], 1) + frustum(15, [12, 16], [18, 8], 1),
      1e-6,
    );
  });

  test('oval: as much less as an oval is than its box, wider or deeper alike', () => {
    const step = stations('oval', 'straight', [
      [0, 20, 10],
      [10, 12, 16],
    ]);
    expectNear(whole(step as unknown as Step), frustum(10, [20, 10], [12, 16], Math.PI / 4), 1e-5);
  });

  test('smooth through three of them stays between their boxes', () => {
    const step = stations('oval', 'smooth', [
      [0, 20, 12],
      [15, 26, 10],
      [30, 18, 14],
    ]);
    const piece = build(step as unknown as Step);
    expect(piece.faults).toEqual([]);
    expect(piece.box![5]).toBeCloseTo(30, 6);
    expect(piece.box![3]).toBeGreaterThan(12.9);
    expect(piece.box![3]).toBeLessThan(14);
  });
});

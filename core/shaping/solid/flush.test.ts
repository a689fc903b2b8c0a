import fc from 'fast-check';
import { evaluateRepair } from '@core/fitting/fit';
import { cautionsOf } from '@core/checking/inspect';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { expectNear } from '@core/testing/volumes';
import { DEFAULT_WORKSHOP, materialIn } from '@core/record/workshop';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]) => buildPiece(kernel, steps);

const circle = (diameter: number) => outlineOf('circle', { diameter });

describe('flush and tangent things', () => {
  test.each([0, 0.5, 2.2, Math.PI])('part of a ring flush on a turned disc, turned by %d', (turn) => {
    const disc = stepOf('disc', { diameter: 30, width: 5 });
    const sector = { ...outlineOf('sector', { inner: 20, outer: 30 }), angle: 2 } as ReturnType<
      typeof outlineOf
    >;
    const made = build(disc, raised(sector, 4, { on: 'top', turn }));
    expect(made.faults).toEqual([]);
    expectNear(made.volume, Math.PI * 225 * 5 + (225 - 100) * 4);
  });

  test('a peg tangent inside a rim, held by the floor: they overlap by a hair', () => {
    const cup = [stepOf('disc', { diameter: 30, width: 10 }), stepOf('shell', { wall: 3, open: 'top' })];
    const peg = (x: number) => stepOf('peg', { diameter: 6, height: 4, on: 'bottom', lift: 3, x, y: 0 });
    const before = build(...cup).volume;
    const made = build(...cup, peg(9));
    expect(made.faults).toEqual([]);
    expect(made.check).toMatchObject({ pieces: 1, valid: true, closed: true });
    expect(Math.abs(made.volume - before - Math.PI * 9 * 4)).toBeLessThan(0.1);
    // Moved away it is as it says, with nothing of the hair left.
    expectNear(build(...cup, peg(8)).volume, before + Math.PI * 9 * 4);
  });

  test('what would be held by a line alone is still refused', () => {
    const corner = (x: number, y: number) =>
      raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 10, { x, y });
    expect(build(corner(-5, -5), corner(5, 5)).faults).toMatchObject([{ code: 'step.touchesAtEdge' }]);
  });

  test('a post flush with a sleeve fills it', () => {
    const sleeve = [raised(circle(20), 10), raised(circle(14), 'through', { effect: 'cut', on: 'top' })];
    const made = build(...sleeve, raised(circle(14), 10));
    expect(made.faults).toEqual([]);
    expectNear(made.volume, Math.PI * 1000);
  });

  test('a full round of 5 on a bar 10 thick, and nothing to be said of it', () => {
    const bar = block(40, 12, 10);
    const pick = (side: 'top' | 'bottom') => ({
      tags: [`${bar.id}:front`, `${bar.id}:${side}`] as [string, string],
      near: [0, -6, side === 'top' ? 10 : 0] as [number, number, number],
    });
    const round = stepOf('fillet', {
      size: 5,
      where: { edges: 'picked', picks: [pick('top'), pick('bottom')] },
    });
    const { repair } = new RepairDraft('x').body('b', 'b', [bar, round]);
    const builder = new BodyBuilder(kernel);
    const numbers = evaluateRepair(repair);
    const built = builder.build(repair.bodies[0]!, numbers);
    expect(built.steps[1]).toMatchObject({ state: 'built' });
    expectNear(built.check!.volumeMm3, 4800 - (1 - Math.PI / 4) * 25 * 2 * 40, 1e-6);
    const cautions = cautionsOf(
      repair.bodies[0]!,
      built.mesh(),
      numbers,
      materialIn(DEFAULT_WORKSHOP, 'petg'),
    );
    expect(cautions.map(({ code }) => code)).not.toContain('face.sliver');
    builder.dispose();
  });

  test('two halves without a gap are no two pieces', () => {
    const split = (gap: number) => stepOf('split', { axis: 'x', at: 0, keep: 'both', gap });
    expect(build(block(40, 20, 10), split(0)).faults).toMatchObject([{ code: 'split.noGap' }]);
    expect(build(block(40, 20, 10), split(0.2)).check).toMatchObject({ pieces: 2 });
  });

  test('a taper that closes says how far it goes', () => {
    const post = raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 30);
    const tapered = (draft: number, height = 30) =>
      build({ ...post, height: numberValue(height), draft } as Step);
    const [fault] = tapered(0.3).faults as [{ code: string; mostAngle: number; mostMm: number }];
    expect(fault.code).toBe('draft.closes');
    // Half of 10 over tan 0.3 is 16.16 high, and atan(5 / 30) is 9.46°.
    expect(fault.mostMm).toBeCloseTo(16.1, 9);
    expect((fault.mostAngle * 180) / Math.PI).toBeCloseTo(9.4, 9);
    expect(tapered(0.3, fault.mostMm).faults).toEqual([]);
    expect(tapered(fault.mostAngle).faults).toEqual([]);
    // Half of it either way leans half as far.
    const bothWays = { ...post, height: numberValue(30), draft: 0.3, bothWays: true } as Step;
    expect(build(bothWays).faults).toEqual([]);
  });
});

/** Where a second thing stands on a first one so that they are flush, tangent or in line. */
const places = fc.constantFrom(-20, -15, -10, -5, 0, 5, 10, 15, 20);

const across = fc.constantFrom(4, 6, 10, 20, 30, 40);

const thing = fc.record({
  round: fc.boolean(),
  across,
  broad: across,
  height: fc.constantFrom(2, 5, 10),
  on: fc.constantFrom('top', 'bottom', 'front', 'right'),
  x: places,
  y: places,
  effect: fc.constantFrom('add', 'add', 'cut'),
  turn: fc.constantFrom(0, Math.PI / 4, Math.PI / 2),
});

test('things placed flush, tangent and in line end closed, or located in a fault with words', () => {
  fc.assert(
    fc.property(fc.boolean(), fc.array(thing, { minLength: 1, maxLength: 3 }), (isRound, things) => {
      const base = isRound ? raised(circle(40), 10) : block(40, 40, 10);
      const steps = things.map(({ round, across: wide, broad, height, ...place }) =>
        raised(
          round ? circle(wide) : outlineOf('rectangle', { length: wide, breadth: broad, cornerRadius: 0 }),
          height,
          place,
        ),
      );
      const made = build(base, ...steps);
      // What was built stands as a closed solid; what was not says at which step and why.
      expect(made.check).toMatchObject({ valid: true, closed: true });
      for (const fault of made.faults as { code: string }[]) {
        expect(fault.code).not.toBe('step.kernelFailed');
      }
    }),
    { numRuns: 60, seed: 20_261 },
  );
}, 120_000);

describe('tongues on a post, and a sleeve on a hollow blend', () => {
  const post = stepOf('disc', { diameter: 10, width: 12 }, 'post');
  const fields = {
    effect: 'add',
    on: 'top',
    y: 0,
    turn: 0,
    length: 14,
    breadth: 4,
    thickness: 1.5,
    bump: 1,
    play: 0,
  };
  // A strip and the bump at its end, twice as long as it is out: 14 × 1.5 and 1 square across, 4 wide.
  const tongueMm3 = (14 * 1.5 + 1) * 4;
  const postMm3 = Math.PI * 25 * 12;

  test.each([-0.75, 3.5, 4, Math.sqrt(21), 4.5])(
    'a tongue that begins %d from the middle, over its edge or not',
    (x) => {
      const { volume, faults, check } = buildPiece(kernel, [
        post,
        stepOf('tongue', { ...fields, x }, 'tongue'),
      ]);
      expect({ faults, pieces: check!.pieces }).toEqual({ faults: [], pieces: 1 });
      expectNear(volume, postMm3 + tongueMm3);
    },
  );

  test('four of them round', () => {
    const round = { ...stepOf('pattern', { of: 'tongue' }), pattern: { by: 'round', count: 4 } } as Step;
    const { volume, faults } = buildPiece(kernel, [
      post,
      stepOf('tongue', { ...fields, x: 3 }, 'tongue'),
      round,
    ]);
    expect(faults).toEqual([]);
    expectNear(volume, postMm3 + 4 * tongueMm3);
  });

  test.each([12, 14])('a sleeve %d across on a blend that is 12 across at its end, both hollow', (across) => {
    const circle = (diameter: number) => outlineOf('circle', { diameter });
    const section = (diameter: number, at: number) => ({
      outline: circle(diameter),
      at: numberValue(at),
      x: numberValue(0),
      y: numberValue(0),
      turn: 0,
    });
    const blend = (effect: string, lower: number, upper: number) =>
      stepOf('loft', {
        effect,
        on: 'bottom',
        x: 0,
        y: 0,
        between: 'straight',
        sections: [section(lower, 0), section(upper, 20)],
      });
    const { volume, faults } = buildPiece(kernel, [
      blend('add', 20, 12),
      blend('cut', 16, 8),
      raised(circle(across), 10, { on: 'top' }),
      raised(circle(8), 'through', { effect: 'cut', on: 'top' }),
    ]);
    expect(faults).toEqual([]);
    const frustum = (a: number, b: number) => (Math.PI / 12) * 20 * (a * a + a * b + b * b);
    expectNear(volume, frustum(20, 12) - frustum(16, 8) + (Math.PI / 4) * (across ** 2 - 64) * 10, 1e-5);
  });
});

import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import type { EdgeRule, Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { expectNear } from '@core/testing/volumes';

import { RepairBuilder } from './repairBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const whole = (...steps: Step[]) => {
  const { faults, volume } = buildPiece(kernel, steps);
  expect(faults).toEqual([]);
  return volume;
};

/** A block half as long on the right half of another: its front, back and right are one face each with those below. */
const base = block(40, 20, 10);

const upper = raised(outlineOf('rectangle', { length: 20, breadth: 20, cornerRadius: 0 }), 5, {
  on: 'top',
  x: 10,
});

const round = (where: EdgeRule, size = 1) => stepOf('fillet', { size, where });

const BOTH = 40 * 20 * 10 + 20 * 20 * 5;

/** What a round of radius 1 adds to a hollow corner, or takes off an outer one, for each mm. */
const CORNER = 1 - Math.PI / 4;

describe('faces that became one know all that they come from', () => {
  test('where two steps meet is the hollow corner alone, not the outer edges of what is flush', () => {
    const meet: EdgeRule = { edges: 'between', of: base.id, and: upper.id };
    expectNear(whole(base, upper, round(meet)), BOTH + 20 * CORNER);
    expectNear(whole(base, upper, round({ ...meet, of: upper.id, and: base.id })), BOTH + 20 * CORNER);
  });

  test('the outer edges of the lower one stay its own', () => {
    // Its bottom all round, and its top where it still has one: three sides of the left half.
    const rims: EdgeRule = { edges: 'rims', of: base.id };
    const { faults, volume } = buildPiece(kernel, [
      base,
      upper,
      stepOf('chamfer', { size: 0.5, where: rims }),
    ]);
    expect(faults).toEqual([]);
    const leg = 0.5 ** 2 / 2;
    // Corners where two eases meet share a pyramid of a third of 0.5³ each: four below, two above.
    const eased = (2 * (40 + 20) + 20 + 20 + 20) * leg - 6 * (0.5 ** 3 / 3);
    // The last two ends of the top run into the upper block, where nothing is shared.
    expectNear(volume, BOTH - eased, 1e-5);
  });

  test('all edges of the upper one leave those of the lower alone', () => {
    const top: EdgeRule = { edges: 'all', of: upper.id };
    const made = buildPiece(kernel, [base, upper, round(top, 0.5)]);
    expect(made.faults).toEqual([]);
    // The left half of the lower one is as it was: its corner is still there, sharp.
    expect(made.box!.map((mm) => Math.round(mm * 1e6) / 1e6 + 0)).toEqual([-20, -10, 0, 20, 10, 15]);
    expect(made.roles.filter((role) => role === 'bottom')).toHaveLength(1);
  });

  test('a block put in before loses no pick that was made on what it is flush with', () => {
    const pick: EdgeRule = {
      edges: 'picked',
      picks: [{ tags: [`${base.id}:front`, `${base.id}:right`], near: [20, -10, 5] }],
    };
    const ease = stepOf('chamfer', { size: 1, where: pick });
    expectNear(whole(base, ease), 8000 - 10 / 2);
    // With the other on it the edge goes all the way up.
    expectNear(whole(base, upper, ease), BOTH - 15 / 2);
    const onTop = raised(outlineOf('circle', { diameter: 4 }), 3, {
      on: { face: { tag: `${base.id}:front`, near: [0, -10, 5] } },
      x: 0,
      y: 0,
    });
    expectNear(whole(base, upper, onTop), BOTH + Math.PI * 4 * 3);
  });

  test('a room that is cut with a way in has a wall for each wall of the body', () => {
    const bolt = block(8, 6, 4);
    const room = {
      ...stepOf('body', { effect: 'cut', grow: 0.25, wayIn: 'top' }, 'room'),
      of: 'bolt',
    } as Step;
    const { repair } = new RepairDraft('x')
      .body('bolt', 'Bolt', [bolt], 'counterpart')
      .body('case', 'Case', [block(40, 20, 14), room]);
    const builder = new RepairBuilder(kernel);
    const built = builder.build(repair.bodies, evaluateRepair(repair)).get('case')!;
    const walls = [...built.solid!.allTags()].filter((tag) => tag.startsWith('room:'));
    // Four walls, each with the length of the way in that goes on from it, and the floor is outside below.
    for (const side of ['front', 'back', 'left', 'right']) {
      expect(walls.filter((tag) => tag.includes(side))).toHaveLength(1);
    }
    expectNear(built.check!.volumeMm3, 40 * 20 * 14 - 8.5 * 6.5 * 14, 1e-6);
    builder.dispose();
  });
});

describe('the outer edges at one end', () => {
  const post = raised(outlineOf('rectangle', { length: 10, breadth: 6, cornerRadius: 0 }), 4);
  const eased = (end?: 'top' | 'bottom') =>
    whole(
      post,
      stepOf('chamfer', { size: 0.5, where: { edges: 'rims', of: post.id, ...(end ? { end } : {}) } }),
    );
  /** Along four edges a triangle, less a pyramid of a third of 0.5³ at each corner. */
  const ring = 2 * (10 + 6) * 0.125 - (4 * 0.5 ** 3) / 3;

  test('are half of both', () => {
    expectNear(eased('top'), 240 - ring);
    expectNear(eased('bottom'), 240 - ring);
    expectNear(eased(), 240 - 2 * ring);
  });

  test('of a cut are its mouth and the rim of its floor', () => {
    const pocket = raised(outlineOf('circle', { diameter: 4 }), 2, { effect: 'cut', on: 'top' });
    const rounded = (end: 'top' | 'bottom') =>
      buildPiece(kernel, [
        post,
        pocket,
        stepOf('chamfer', { size: 0.5, where: { edges: 'rims', of: pocket.id, end } }),
      ]);
    const before = 240 - Math.PI * 4 * 2;
    // At the mouth a triangle is taken off outside the hole, at the floor one is put in inside; by Pappus.
    expectNear(rounded('top').volume, before - 0.125 * 2 * Math.PI * (2 + 0.5 / 3));
    expectNear(rounded('bottom').volume, before + 0.125 * 2 * Math.PI * (2 - 0.5 / 3));
  });
});

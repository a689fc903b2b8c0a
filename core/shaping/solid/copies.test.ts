import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { tagWords } from '@core/reporting/wording';
import { testKernel } from '@core/testing/kernel';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { block, buildPiece, raised, stepOf, type Piece } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { expectNear, wholeVolume } from '@core/testing/volumes';

import { RepairBuilder } from './repairBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]): Piece => buildPiece(kernel, steps);

const whole = (...steps: Step[]) => wholeVolume(kernel, ...steps);

test('a band round the points of a layout is as wide as they lie, and follows them', () => {
  const band = (apart: number) => {
    const { layout } = new LayoutDraft([
      { x: 0, y: 0 },
      { x: apart, y: 0 },
    ]).between(1, 2);
    const step = raised({ shape: 'layoutHull', layout: 'layout', diameter: numberValue(12) }, 5);
    const { repair } = new RepairDraft('Bar').body('b', 'Bar', [step]);
    repair.layouts.push(layout);
    const builder = new RepairBuilder(kernel);
    const built = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
    const volume = built.check?.volumeMm3 ?? 0;
    builder.dispose();
    return volume;
  };
  expectNear(band(30), (30 * 12 + Math.PI * 36) * 5);
  expectNear(band(44), (44 * 12 + Math.PI * 36) * 5);
});

describe('repeats', () => {
  const plate = block(60, 60, 5);
  const hole = stepOf('hole', { diameter: 4, depth: 'through', x: 15, y: 0 }, 'hole');
  const repeat = (pattern: object, id = 'again') => ({ id, kind: 'pattern', of: 'hole', pattern }) as Step;
  const places = (piece: Piece) =>
    piece.centreLines.map(({ from }) => from.slice(0, 2).map((mm) => Math.round(mm * 1000) / 1000));

  test('round a point: evenly about it', () => {
    const piece = build(plate, hole, repeat({ by: 'round', count: 4, x: numberValue(5), y: numberValue(0) }));
    expect(piece.faults).toEqual([]);
    expectNear(piece.volume, 60 * 60 * 5 - 4 * Math.PI * 4 * 5);
    // The first stands 10 to the right of the point; the others a quarter turn on.
    expect(places(piece)).toEqual([
      [15, 0],
      [5, 10],
      [-5, 0],
      [5, -10],
    ]);
  });

  test('at places of their own, once where it stands already', () => {
    const points = [
      [15, 0],
      [-20, 12],
      [0, -22],
    ].map(([x, y]) => ({ x: numberValue(x!), y: numberValue(y!) }));
    const piece = build(plate, hole, repeat({ by: 'points', points }));
    expectNear(piece.volume, 60 * 60 * 5 - 3 * Math.PI * 4 * 5);
    expect(places(piece)).toEqual([
      [15, 0],
      [-20, 12],
      [0, -22],
    ]);
  });

  test('each copy has faces of its own, and a rule catches all of them', () => {
    const row = repeat({ by: 'row', count: 3, dx: numberValue(-15), dy: numberValue(0) });
    const piece = build(plate, hole, row);
    expect(piece.roles.filter((role) => role.startsWith('wall'))).toEqual(['wall', 'wall~2', 'wall~3']);
    const mouths = { ...stepOf('chamfer', { size: 0.5 }), where: { edges: 'mouths', of: 'again' } } as Step;
    // A ring of 45° at each of four mouths: π (r + c/3)·c² with c = 0.5, r = 2.
    expectNear(piece.volume - whole(plate, hole, row, mouths), 4 * Math.PI * (2 + 0.5 / 3) * 0.25, 1e-5);
  });

  test('something stands on the face of the copy that was picked, however many come before it', () => {
    const peg = stepOf('peg', { diameter: 8, height: 6, x: -20, y: 0 }, 'hole');
    const of = (count: number) => {
      const row = repeat({ by: 'row', count, dx: numberValue(12), dy: numberValue(0) });
      const ball = stepOf('sphere', {
        effect: 'add',
        diameter: 6,
        up: 0,
        on: { face: { tag: 'again:top~2', near: [-8, 0, 11] } },
        x: 0,
        y: 0,
      });
      return build(plate, peg, row, ball);
    };
    for (const count of [2, 3, 4]) {
      const piece = of(count);
      expect(piece.faults).toEqual([]);
      // The upper half of the ball shows, in the middle of the second peg.
      expectNear(piece.volume, 18000 + count * Math.PI * 16 * 6 + (2 / 3) * Math.PI * 27);
    }
    expect(tagWords('again:top~2', () => 3)).toBe('the top of number 2 of step 3');
  });
});

test('mirrored top to bottom at the ground', () => {
  const cone = stepOf('cone', { effect: 'add', lower: 20, upper: 10, height: 6, on: 'bottom', x: 0, y: 0 });
  const mirror = (keep: 'both' | 'other') => ({ id: 'm', kind: 'mirror', across: 'upDown', keep }) as Step;
  const one = ((Math.PI * 6) / 3) * (100 + 50 + 25);
  const both = build(cone, mirror('both'));
  expectNear(both.volume, 2 * one);
  [-6, 6].forEach((mm, index) => expect(both.box![2 + 3 * index]).toBeCloseTo(mm, 6));
  const other = build(cone, mirror('other'));
  expectNear(other.volume, one);
  expect(other.box![2]).toBeCloseTo(-6, 6);
});

describe('places measured from another step', () => {
  const base = block(60, 40, 5);
  const first = stepOf('hole', { diameter: 4, depth: 'through', x: -11, y: 7 }, 'first');
  const second = (on: object = {}) =>
    ({
      ...stepOf('hole', { diameter: 4, depth: 'through', x: 16, y: -3, ...on }),
      xFrom: { step: 'first' },
      yFrom: { step: 'first' },
    }) as Step;
  const middles = (piece: Piece) => piece.centreLines.map(({ from }) => from.slice(0, 2));

  test('follow it wherever it goes', () => {
    expect(middles(build(base, first, second()))[1]).toEqual([5, 4]);
    const moved = { ...first, x: numberValue(-20) } as Step;
    expect(middles(build(base, moved, second()))[1]).toEqual([-4, 4]);
  });

  test('count to the right, to the back and up of the part on other sides too', () => {
    // On the back one looks at the part from behind: its own right is the part's left.
    const peg = stepOf('peg', { diameter: 4, height: 3, on: 'back', x: 5, y: 2.5 }, 'first');
    const beside = {
      ...stepOf('peg', { diameter: 4, height: 3, on: 'back', x: 8, y: 0 }),
      xFrom: { step: 'first' },
      yFrom: { step: 'first' },
      lift: numberValue(-3),
    } as Step;
    const piece = build(base, peg, beside);
    expect(piece.faults).toEqual([]);
    expect(
      piece.centreLines.map(({ from }) => [from[0], from[2]].map((mm) => Math.round(1000 * mm) / 1000)),
    ).toEqual([
      [5, 2.5],
      [13, 2.5],
    ]);
  });

  test('say so when the step is no longer before them', () => {
    expect(build(base, second(), first).faults).toMatchObject([{ code: 'step.pickLost' }]);
  });
});

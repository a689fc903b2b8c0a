import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf, type Piece } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]): Piece => buildPiece(kernel, steps);

const whole = (...steps: Step[]) => wholeVolume(kernel, ...steps);

describe('slots for a strap', () => {
  const ring = [
    raised(outlineOf('circle', { diameter: 40 }), 10),
    stepOf('hole', { diameter: 20, depth: 'through', x: 0, y: 0 }),
  ];
  const split = (apart: number) => ({
    ...stepOf('split', { axis: 'y', at: 0, keep: 'both', gap: 5 }),
    ties: { breadth: numberValue(4), thickness: numberValue(2), apart: numberValue(apart) },
  });

  test('go right through both halves of a ring', () => {
    const whole40 = Math.PI * (400 - 100) * 10;
    const piece = build(...ring, split(30) as Step);
    expect(piece.faults).toEqual([]);
    expect(piece.check!.pieces).toBe(2);
    // Each slot: 4 high and 2 wide, through the chord of the outer circle at 14 to 16 from the middle.
    const slices = 2000;
    let chord = 0;
    for (let slice = 0; slice < slices; slice += 1) {
      const x = 14 + (2 * (slice + 0.5)) / slices;
      chord += (2 * Math.sqrt(400 - x * x) * 2) / slices;
    }
    expectNear(piece.volume, whole40 - 2 * 4 * chord, 1e-5);
  });

  test('that would come out at the side are refused', () => {
    expect(build(...ring, split(40) as Step).faults).toMatchObject([{ code: 'split.tiesDoNotFit' }]);
  });
});

describe('split along a face', () => {
  const base = block(40, 20, 5);
  const wedge = stepOf('wedge', {
    effect: 'add',
    length: 20,
    breadth: 20,
    low: 0,
    high: 10,
    turn: 0,
    on: 'top',
    x: 0,
    y: 0,
  });
  const split = (face: string, more: object = {}) =>
    ({
      ...stepOf('split', { axis: 'z', at: 0, keep: 'low', gap: 10 }),
      face: { tag: face, near: [0, 0, 5] },
      ...more,
    }) as Step;

  test('level: what stands on it goes, what lies under it stays', () => {
    expectNear(whole(base, wedge, split(`${base.id}:top`)), 4000);
    expectNear(whole(base, wedge, split(`${base.id}:top`, { keep: 'high' })), 20 * 20 * 5);
  });

  test('leaning: both halves, moved apart along its own way', () => {
    const piece = build(base, wedge, split(`${wedge.id}:slope`, { keep: 'both' }));
    // The plane of the slope cuts the base below it: a wedge from where it runs out at the top, 5 down over 10.
    expect(piece.faults).toEqual([]);
    expect(piece.check!.pieces).toBe(2);
    expectNear(piece.volume, 4000 + 2000);
  });

  test('of the outside it splits nothing', () => {
    expect(build(base, split(`${base.id}:right`)).faults).toMatchObject([{ code: 'split.atOutside' }]);
  });
});

import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { buildPiece, block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { sentenceOf } from '@core/reporting/wording';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** Builds steps over sizes: 30 and 30, 12 teeth, 10°; and a bore that runs on a 6 mm pin. */
function built(steps: Step[]) {
  const draft = new RepairDraft('Taken')
    .chosen('A', 'rise', 30)
    .chosen('B', 'way', 30)
    .measured('N', 'teeth', ['12'], { quantity: 'count' })
    .chosen('K', 'lean', (10 * Math.PI) / 180, '', { quantity: 'angle' })
    .body('body', 'Body', steps);
  const builder = new BodyBuilder(kernel);
  const { repair } = draft;
  const made = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const failed = made.steps.find(({ state }) => state === 'failed');
  const result = {
    volume: made.check?.volumeMm3 ?? 0,
    box: made.box,
    fault: failed?.state === 'failed' ? sentenceOf(failed.fault) : null,
  };
  builder.dispose();
  return result;
}

const formula = (text: string) => ({ from: 'formula', text, unit: 'mm' }) as const;

const size = (id: string) => ({ from: 'size', id }) as const;

describe('angles and counts that are taken from elsewhere', () => {
  test('a block turned by what two lengths say stands cornerwise', () => {
    const turned = built([
      raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 4, {
        turn: formula('atan(A / B)'),
      }),
    ]);
    expect(turned.fault).toBeNull();
    expect(turned.box![3]).toBeCloseTo(10 * Math.SQRT1_2, 6);
  });

  test('sides lean by a measured angle: the volume of a frustum', () => {
    const leaned = built([
      raised(outlineOf('rectangle', { length: 20, breadth: 20, cornerRadius: 0 }), 10, { draft: size('k') }),
    ]);
    const upper = 20 - 20 * Math.tan((10 * Math.PI) / 180);
    expect(leaned.volume).toBeCloseTo((10 / 3) * (400 + upper ** 2 + 20 * upper), 3);
  });

  test('as many holes as were counted', () => {
    const steps = [
      stepOf('disc', { diameter: 60, width: 4 }),
      stepOf('hole', { diameter: 3, depth: 'through', on: 'top', x: 20, y: 0 }, 'hole'),
      stepOf('pattern', { of: 'hole', pattern: { by: 'round', count: size('n') } }),
    ];
    expect(built(steps).volume).toBeCloseTo(Math.PI * 4 * (30 ** 2 - 12 * 1.5 ** 2), 3);
  });

  test('a gear has the teeth that were counted', () => {
    const teeth = (count: unknown) => ({
      ...outlineOf('gear', { module: 1, backlash: 0 }),
      teeth: count,
      pressure: 0.35,
      shift: 0,
      side: 'outside',
    });
    const counted = built([raised(teeth(size('n')) as never, 5)]);
    expect(counted.fault).toBeNull();
    expect(counted.volume).toBeCloseTo(built([raised(teeth(12) as never, 5)]).volume, 6);
  });

  test('what they come to is held against the bounds of its place, and told', () => {
    const row = (count: unknown) => [
      block(40, 10, 5),
      stepOf('hole', { diameter: 2, depth: 'through', on: 'top', x: -15, y: 0 }, 'hole'),
      {
        ...stepOf('pattern', { of: 'hole' }),
        pattern: { by: 'row', count, dx: { from: 'number', mm: 3 }, dy: { from: 'number', mm: 0 } },
      } as Step,
    ];
    expect(built(row(formula('N / 5'))).fault).toContain('comes out as 2.4, and a whole number is needed');
    expect(built(row(formula('N / 12'))).fault).toContain(
      'The number of times comes out as 1: it must be between 2 and 200',
    );
    expect(built(row(size('a'))).fault).toContain('a length');
    const steep = [raised(outlineOf('circle', { diameter: 10 }), 4, { draft: formula('9 * K') })];
    expect(built(steep).fault).toContain(
      'The draft angle comes out as 90°: it must be between −57.2° and 57.2°',
    );
    expect(built(row(size('lost'))).fault).toContain('used a size that is no longer there');
  });
});

describe('a floor told as a height above the ground', () => {
  const cut = (more: Record<string, unknown>) =>
    raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 2, {
      effect: 'cut',
      on: 'top',
      floor: true,
      ...more,
    });

  test.each([6, 10, 25])('in a block %d high it leaves 2 mm', (high) => {
    const { volume, faults } = buildPiece(kernel, [block(30, 30, high), cut({})]);
    expect(faults).toEqual([]);
    expect(volume).toBeCloseTo(900 * high - 100 * (high - 2), 6);
  });

  test('drilled holes, pegs, and what is cut up from below', () => {
    const drilled = [
      block(30, 30, 12),
      stepOf('hole', { diameter: 6, depth: 3, floor: true, on: 'top', x: 0, y: 0 }),
    ];
    expect(buildPiece(kernel, drilled).volume).toBeCloseTo(10800 - Math.PI * 9 * 9, 6);
    const pegged = [
      block(30, 30, 12),
      stepOf('peg', { effect: 'cut', diameter: 6, height: 3, floor: true, on: 'top', x: 0, y: 0 }),
    ];
    expect(buildPiece(kernel, pegged).volume).toBeCloseTo(10800 - Math.PI * 9 * 9, 6);
    const below = [block(30, 30, 12), cut({ on: 'bottom', height: 8 })];
    expect(buildPiece(kernel, below).volume).toBeCloseTo(10800 - 100 * 8, 6);
  });

  test('from a side it has none, and one above where it begins is told', () => {
    const told = (step: Step) => buildPiece(kernel, [block(30, 30, 12), step]).faults[0];
    expect(told(cut({ on: 'front' }))).toEqual({ code: 'floor.notLevel' });
    expect(told(cut({ bothWays: true }))).toEqual({ code: 'floor.notLevel' });
    expect(told(cut({ height: 15 }))).toMatchObject({ code: 'floor.outside', placeMm: 12, down: true });
  });
});

import { evaluateRepair } from '@core/fitting/fit';
import { cantileverStrain, cautionsBetween, cautionsOf, mendsOf, thinnestWall } from '@core/checking/inspect';
import type { OutlineShape, Repair, Step } from '@core/record/model';
import { clearance, RepairBuilder } from '@core/shaping/solid';
import { meshOf, type Kernel } from '@core/shaping/kernel';
import { SCREEN_QUALITY, type SolidMesh } from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { ringMesh, slowFirstHit } from '@core/testing/slowRays';
import { cautionSentence } from '@core/reporting/wording';
import { DEFAULT_WORKSHOP, materialIn } from '@core/record/workshop';

import { firstHit } from '@core/shaping/boxTree';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function meshOfSteps(...steps: Step[]): { mesh: SolidMesh; repair: Repair } {
  const { repair } = new RepairDraft('x').body('b', 'b', steps);
  const builder = new RepairBuilder(kernel);
  const mesh = meshOf(builder.build(repair.bodies, evaluateRepair(repair)).get('b')!.solid!, SCREEN_QUALITY);
  builder.dispose();
  return { mesh, repair };
}
const circle = (diameter: number) => outlineOf('circle', { diameter });

describe('the thinnest wall', () => {
  test('of a block is its smallest side', () => {
    expect(thinnestWall(meshOfSteps(block(40, 20, 7)).mesh)!.mm).toBeCloseTo(7, 4);
  });

  test('of a tube is the tube’s, whatever its height', () => {
    const bore = raised(circle(18.4), 'through', { effect: 'cut', on: 'top' });
    const { mesh } = meshOfSteps(raised(circle(20), 30), bore);
    // The flats of the mesh stand off the circles by up to its quality.
    expect(Math.abs(thinnestWall(mesh)!.mm - 0.8)).toBeLessThan(0.06);
  });

  test('under a pocket, and between a hole and the edge', () => {
    const pocket = raised(circle(10), 9.5, { effect: 'cut', on: 'top' });
    expect(thinnestWall(meshOfSteps(block(40, 20, 10), pocket).mesh)!.mm).toBeCloseTo(0.5, 4);
    const hole = stepOf('hole', { diameter: 6, depth: 'through', x: 0, y: 6.6 });
    expect(Math.abs(thinnestWall(meshOfSteps(block(40, 20, 10), hole).mesh)!.mm - 0.4)).toBeLessThan(0.06);
  });

  test('as the plain look at every triangle finds it, and of a ring its thickness', () => {
    const ring = ringMesh(60, 40, 20, 4);
    const [quick, slow] = [thinnestWall(ring)!, thinnestWall(ring, slowFirstHit)!];
    expect(quick.mm).toBeCloseTo(slow.mm, 6);
    // Triangles lie within the round by up to their sagitta: 2 (1 − cos 4.5°) across, as much on both sides.
    expect(quick.mm).toBeGreaterThan(4 * Math.cos((4.5 * Math.PI) / 180) - 0.05);
    expect(quick.mm).toBeLessThan(4);
    for (const [index, way] of (
      [
        [1, 0, 0],
        [0, 0.6, 0.8],
        [-0.48, 0.6, -0.64],
      ] as const
    ).entries()) {
      const origin = [-30 + index, 1.3 * index, 0.2] as [number, number, number];
      const [a, b] = [firstHit, slowFirstHit].map((find) => find(ring, origin, [...way], Infinity));
      expect(a?.mm ?? null).toEqual(b === null || b === undefined ? null : expect.closeTo(b.mm, 5));
    }
  });

  test('a sharp edge is no wall', () => {
    const wedge = stepOf('wedge', {
      effect: 'add',
      on: 'bottom',
      x: 0,
      y: 0,
      length: 20,
      breadth: 10,
      low: 0,
      high: 20,
      turn: 0,
    });
    expect(thinnestWall(meshOfSteps(wedge).mesh)!.mm).toBeGreaterThan(5);
  });
});

test('a thin wall is told with what can be made, and a sound one is not', () => {
  const pocket = (depth: number) => raised(circle(10), depth, { effect: 'cut', on: 'top' });
  const told = (depth: number, material: string) => {
    const { mesh, repair } = meshOfSteps(block(40, 20, 10), pocket(depth));
    return cautionsOf(
      repair.bodies[0]!,
      mesh,
      evaluateRepair(repair),
      materialIn(DEFAULT_WORKSHOP, material),
    );
  };
  expect(told(9.4, 'petg')).toMatchObject([{ code: 'wall.thin', leastMm: 0.8 }]);
  expect(cautionSentence(told(9.4, 'petg')[0]!)).toBe(
    'The thinnest wall is 0.60 mm; 0.80 mm can be made in this material. Make it thicker, or the cut behind it less deep.',
  );
  expect(told(9.4, 'steel')).toEqual([]);
  expect(told(8, 'petg')).toEqual([]);
});

describe('tongues', () => {
  test('strain is that of a cantilever bent at its end', () => {
    // A beam 20 long and 2 thick, bent by 1: 3 · 2 · 1 / (2 · 400).
    expect(cantileverStrain(20, 2, 1)).toBeCloseTo(0.0075, 9);
  });

  test('one that is bent too far is told, with numbers that would do', () => {
    const tongue = (length: number, thickness: number) =>
      stepOf('tongue', {
        effect: 'add',
        on: 'bottom',
        x: 0,
        y: 0,
        length,
        breadth: 6,
        thickness,
        bump: 1,
        play: 0,
        turn: 0,
      });
    const told = (length: number, thickness: number) => {
      const { repair } = new RepairDraft('x').body('b', 'b', [tongue(length, thickness)]);
      return cautionsOf(
        repair.bodies[0]!,
        null,
        evaluateRepair(repair),
        materialIn(DEFAULT_WORKSHOP, 'petg'),
      );
    };
    const [found] = told(10, 2);
    if (found?.code !== 'tongue.strained') throw new Error('not told');
    expect(found.strain).toBeCloseTo(3 / 64, 9);
    expect(told(found.lengthMm + 1e-6, 2)).toEqual([]);
    expect(told(found.lengthMm - 0.01, 2)).toHaveLength(1);
    expect(told(10, found.thicknessMm - 1e-6)).toEqual([]);
    expect(cautionSentence(found)).toContain('4.7 %');
  });
});

describe('between bodies', () => {
  const room = (repair: Repair) => {
    const builder = new RepairBuilder(kernel);
    const built = builder.build(repair.bodies, evaluateRepair(repair));
    const [spare, other] = repair.bodies;
    const found = clearance(built.get(spare!.id)!.solid!, built.get(other!.id)!.solid!)!;
    const cautions = cautionsBetween(spare!, other!, found, evaluateRepair(repair));
    builder.dispose();
    return { found, cautions };
  };

  test('the wheel on its axle has the room that its fit asks for', () => {
    const { found, cautions } = room(rackWheel());
    expect(found.mm).toBeGreaterThan(0.05);
    expect(cautions).toEqual([]);
  });

  test('a bore that is wider than its fit asks for is told too; an axle beside the wheel is not', () => {
    const bored = (mm: number, x = 0) => {
      const repair = rackWheel();
      const bore = repair.bodies[0]!.steps.find(({ kind }) => kind === 'hole')!;
      // The fit is used for the groove's depth instead, so that it still lies between the two.
      const fitted = 'diameter' in bore ? bore.diameter : null;
      Object.assign(bore, { diameter: { from: 'number', mm }, x: { from: 'number', mm: x } });
      const groove = repair.bodies[0]!.steps.find(({ kind }) => kind === 'groove')!;
      Object.assign(groove, { depth: fitted });
      return room(repair);
    };
    const wide = bored(6.8);
    expect(wide.cautions).toMatchObject([{ code: 'fit.unlike', other: 'Axle' }]);
    const [caution] = wide.cautions;
    expect(cautionSentence(caution!)).toContain('Check whether the fit’s working size is used');
    expect(mendsOf(caution!, { steps: [] }, () => 'room', { sizes: [] })).toEqual([]);
  });

  test('a bore that is not where the axle is has less, and one that cuts it overlaps', () => {
    const moved = (x: number) => {
      const repair = rackWheel();
      const bore = repair.bodies[0]!.steps.find(({ kind }) => kind === 'hole')!;
      Object.assign(bore, { x: { from: 'number', mm: x } });
      return room(repair).cautions;
    };
    expect(moved(0.08)).toMatchObject([{ code: 'fit.unlike', other: 'Axle' }]);
    const [less] = moved(0.08);
    const mended = mendsOf(less!, { steps: [] }, () => 'room', { sizes: [] });
    expect(mended).toMatchObject([{ steps: [{ kind: 'body', of: 'axle', effect: 'cut', byFits: true }] }]);
    const [overlap] = moved(2);
    expect(overlap).toMatchObject({ code: 'bodies.overlap', other: 'Axle' });
    expect(cautionSentence(overlap!)).toMatch(/^It overlaps Axle by [\d.]+ mm³\. /);
  });
});

test('a wheel and a ring that run into each other as they turn are told, with the ring that would do', () => {
  const GEAR_TEETH = { pressure: Math.PI / 9, shift: 0 };
  const toothed = (teeth: number, side: 'outside' | 'inside') =>
    raised(
      { ...outlineOf('gear', { module: 1, backlash: 0, side }), ...GEAR_TEETH, teeth } as OutlineShape,
      5,
      { effect: side === 'inside' ? 'cut' : 'add' },
    );
  const { repair } = new RepairDraft('x')
    .body('wheel', 'Wheel', [toothed(36, 'outside')])
    .body('ring', 'Ring', [raised(circle(60), 5), toothed(40, 'inside')]);
  const [wheel, ring] = repair.bodies as [Repair['bodies'][0], Repair['bodies'][0]];
  const told = (one: typeof wheel, other: typeof ring) =>
    cautionsBetween(one, other, { mm: 3, overlapMm3: 0 }, evaluateRepair(repair));
  expect(told(wheel, ring)).toMatchObject([{ code: 'gears.collide', teeth: 36, ringTeeth: 40 }]);
  expect(told(ring, wheel)).toHaveLength(1);
  expect(cautionSentence(told(wheel, ring)[0]!)).toMatch(
    /^Its teeth and those of Ring run into each other by 0\.\d\d mm .* ring of 4\d teeth or more/,
  );
  Object.assign((ring.steps[1] as { outline: object }).outline, { teeth: 72 });
  expect(told(wheel, ring)).toEqual([]);
});

import { allowableOf, type PrintedMaterial } from '@core/checking/strength';
import { evaluateRepair } from '@core/fitting/fit';
import { cautionsOf, mendsOf, type Caution } from '@core/checking/inspect';
import { numberValue, USUAL_PRINT_SETUP, type Body, type Repair, type Step } from '@core/record/model';
import { RepairBuilder, sharpRoots } from '@core/shaping/solid';
import type { Kernel } from '@core/shaping/kernel';
import { testKernel } from '@core/testing/kernel';
import { block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { cautionSentence, mendWords } from '@core/reporting/wording';
import { DEFAULT_WORKSHOP, materialIn } from '@core/record/workshop';

import { pointContacts } from './contacts';
import { overhangOf } from './overhang';
import { sliversOf } from './slivers';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** Solid, pulled again and again, with a safety factor of 2: 50 MPa × 0.85 × 0.4 / 2 of PETG. */
function madeIn(material: string, laying?: Body['laying']): PrintedMaterial {
  const row = materialIn(DEFAULT_WORKSHOP, material);
  const { alongMpa } = allowableOf(row, { lasts: 'repeated', warmC: 23, wet: false, safety: 2 }, true);
  return { alongMpa, across: row.across, down: (laying ?? USUAL_PRINT_SETUP).down, shell: null };
}

function look(steps: Step[], material = 'petg', laying?: Body['laying']) {
  const { repair }: { repair: Repair } = new RepairDraft('x').body('b', 'b', steps);
  const numbers = evaluateRepair(repair);
  const builder = new RepairBuilder(kernel);
  const built = builder.build(repair.bodies, numbers).get('b')!;
  expect(built.steps.filter(({ state }) => state === 'failed')).toEqual([]);
  const mesh = built.mesh()!;
  const cautions = cautionsOf(
    { ...repair.bodies[0]!, ...(laying ? { laying } : {}) },
    mesh,
    numbers,
    materialIn(DEFAULT_WORKSHOP, material),
    (of) => sharpRoots(built.solid!, of),
    [],
    { made: madeIn(material, laying), safety: 2 },
  );
  builder.dispose();
  return { mesh, cautions, codes: cautions.map(({ code }) => code), body: repair.bodies[0]! };
}
function only<C extends Caution['code']>(cautions: Caution[], code: C): Extract<Caution, { code: C }> {
  const found = cautions.filter((one) => one.code === code);
  expect(found).toHaveLength(1);
  return found[0] as Extract<Caution, { code: C }>;
}
const NO_SIZES = { sizes: [] };
let ids = 0;
const newId = () => `new-${(ids += 1)}`;
const mend = (caution: Caution, steps: Step[], which = 0) =>
  mendsOf(caution, { steps }, newId, NO_SIZES)[which]!;
const drill = (diameter: number, x: number, y = 0) => stepOf('hole', { diameter, depth: 'through', x, y });

describe('a hole near an edge', () => {
  test('has less beside it than half its width', () => {
    const near = look([block(40, 20, 5), drill(5, 0, 6)]);
    // From the hole's wall at 8.5 to the side at 10, less what its flats stand in.
    const { mm, leastMm } = only(near.cautions, 'hole.nearEdge');
    expect(Math.abs(mm - 1.5)).toBeLessThan(0.06);
    expect(leastMm).toBe(2.5);
    expect(look([block(40, 20, 5), drill(5, 0, 4)]).codes).toEqual([]);
  });

  test('a copy of it counts too, and so does another hole beside it', () => {
    const hole = drill(4, -14, 0);
    const row = {
      ...stepOf('pattern', { of: hole.id }),
      pattern: { by: 'row', count: 2, dx: numberValue(31), dy: numberValue(0) },
    } as unknown as Step;
    expect(look([block(40, 30, 5), hole]).codes).toEqual([]);
    expect(look([block(40, 30, 5), hole, row]).codes).toEqual(['hole.nearEdge']);
    expect(look([block(40, 30, 5), drill(4, -2.6), drill(4, 2.6)]).codes).toEqual([
      'hole.nearEdge',
      'hole.nearEdge',
    ]);
  });

  test('moved in by a tap, along the edges that it is measured from too, it is not any more', () => {
    const plate = block(40, 20, 5);
    const cases = [drill(5, 0, 6), { ...drill(5, 0), y: numberValue(4), yFrom: 'high' } as Step];
    for (const hole of cases) {
      const near = only(look([plate, hole]).cautions, 'hole.nearEdge');
      const moved = mend(near, [plate, hole]);
      expect(mendWords(moved.act)).toMatch(/^Move the hole in by 1(\.\d)? mm$/);
      expect(look(moved.steps).codes).toEqual([]);
    }
    // What follows a size goes on following it.
    const following = { ...drill(5, 0), y: { from: 'size', id: 's' } } as Step;
    const near = only(look([plate, drill(5, 0, 6)]).cautions, 'hole.nearEdge');
    const sized = { sizes: [{ id: 's', tag: 'C' }] } as unknown as Pick<Repair, 'sizes'>;
    const [moved] = mendsOf({ ...near, stepId: following.id }, { steps: [plate, following] }, newId, sized);
    expect(moved!.steps[1]).toMatchObject({
      y: { from: 'formula', text: expect.stringMatching(/^C - 1(\.\d+)?$/) as string, unit: 'mm' },
    });
  });

  test('on a part that was turned over since it is told, and not moved by a tap: its numbers run another way', () => {
    const over = stepOf('move', { dx: 0, dy: 0, dz: 0, axis: 'x' });
    const turned = { ...over, turn: Math.PI, scale: 1 } as Step;
    const steps = [block(40, 20, 5), drill(5, 0, 6), turned];
    const near = only(look(steps).cautions, 'hole.nearEdge');
    expect(near.hole).toBeNull();
    expect(mendsOf(near, { steps }, newId, NO_SIZES)).toEqual([]);
    const still = [...steps.slice(0, 2), { ...turned, off: true } as Step];
    expect(
      mendsOf(only(look(still).cautions, 'hole.nearEdge'), { steps: still }, newId, NO_SIZES),
    ).toHaveLength(2);
  });

  test('a boss round it, as high as the hole is deep, holds it too', () => {
    const plate = block(40, 20, 5);
    const hole = drill(5, 3, 6.5);
    const near = only(look([plate, hole]).cautions, 'hole.nearEdge');
    const [, boss] = mendsOf(near, { steps: [plate, hole] }, newId, NO_SIZES);
    expect(mendWords(boss!.act)).toBe('Put a boss round it');
    expect(boss!.steps.map(({ kind }) => kind)).toEqual(['extrude', 'extrude', 'hole']);
    expect(boss!.steps[1]).toMatchObject({
      height: numberValue(5),
      outline: { diameter: numberValue(10.5) },
    });
    expect(look(boss!.steps).codes).toEqual([]);
  });

  test('a hole from a side is neither moved nor given a boss by itself', () => {
    const side = { ...drill(5, 0), on: 'front', y: numberValue(3), depth: numberValue(6) } as Step;
    const near = only(look([block(40, 20, 10), side]).cautions, 'hole.nearEdge');
    expect(mendsOf(near, { steps: [side] }, newId, NO_SIZES)).toEqual([]);
  });

  test('the bore of a sleeve is near no edge', () => {
    const sleeve = raised(outlineOf('circle', { diameter: 12 }), 10);
    expect(look([sleeve, drill(8.5, 0)]).codes).toEqual([]);
  });
});

describe('a thin wall, by a tap', () => {
  const circle = (diameter: number) => outlineOf('circle', { diameter });
  const cut = { effect: 'cut', on: 'top' };

  test.each<[string, Step[], string | RegExp]>([
    ['under a pocket', [block(40, 20, 10), raised(circle(10), 9.6, cut)], 'Make step 2 0.4 mm less deep'],
    [
      'that it was hollowed to',
      [block(40, 20, 10), stepOf('shell', { wall: 0.5, open: 'top' })],
      'Hollow it to 0.8 mm',
    ],
    [
      'of a plate',
      [stepOf('plate', { length: 30, breadth: 10, thickness: 0.6, cornerRadius: 1 })],
      'Make step 1 0.2 mm thicker',
    ],
    [
      'of a tube',
      [raised(circle(20), 30), raised(circle(19), 'through', cut)],
      /^Make step 1 0\.\d+ mm wider$/,
    ],
  ])('%s', (_, steps, word) => {
    const thin = only(look(steps).cautions, 'wall.thin');
    const mended = mend(thin, steps);
    expect(mendWords(mended.act)).toMatch(word);
    expect(look(mended.steps).codes).not.toContain('wall.thin');
  });
});

describe('a weak section', () => {
  /** Pressed at its right end, held at its left one. */
  const pressed = (forceN: number, fields: Partial<Body['laying']> = {}) => ({
    ...USUAL_PRINT_SETUP,
    load: [0, 0, -1] as [number, number, number],
    held: { forceN, at: [30, 0, 4], heldAt: [-30, 0, 2] } as NonNullable<Body['laying']>['held'],
    ...fields,
  });
  const arm = [stepOf('plate', { length: 60, breadth: 6, thickness: 4, cornerRadius: 0 })];
  const { across } = materialIn(DEFAULT_WORKSHOP, 'petg');
  /** M c / I of a section 6 by 4 at 60 mm, with 8.5 MPa allowed. */
  const bearsN = (8.5 * 6 * 4 ** 2) / 6 / 60;

  test('is told where a load asks more of it than it bears, by how much', () => {
    expect(look(arm, 'petg', pressed(0.9 * bearsN)).codes).toEqual([]);
    const weak = only(look(arm, 'petg', pressed(2 * bearsN)).cautions, 'section.weak');
    expect(weak.mostN / bearsN).toBeCloseTo(1, 3);
    expect(weak.thicker).toBeCloseTo(Math.SQRT2, 3);
    expect(weak.wall!.mm).toBeCloseTo(4, 6);
    expect(weak.where!.segments!.length).toBeGreaterThan(0);
    expect(cautionSentence(weak)).toMatch(/Make it 1.5 times as thick there, or choose/);
  });

  test('stands on its end it bears less, and is to be laid otherwise', () => {
    const standing = pressed(2 * bearsN, { down: [-1, 0, 0] });
    const weak = only(look(arm, 'petg', standing).cautions, 'section.weak');
    expect(weak.mostN / bearsN).toBeCloseTo(across, 3);
    expect(cautionSentence(weak)).toContain('turn it so that its layers run along');
  });

  test('is mended by a tap: as thick as it has to be', () => {
    const load = pressed(2 * bearsN);
    const mended = mend(only(look(arm, 'petg', load).cautions, 'section.weak'), arm);
    expect(mendWords(mended.act)).toMatch(/^Make step 1 1\.7 mm thicker$/);
    // What stands higher is pressed at its top, a little further from its middle.
    expect(look(mended.steps, 'petg', load).codes).toEqual([]);
  });
});

describe('what touches itself', () => {
  test('at a point is found, where it does', () => {
    const low = raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 10, {
      x: -5,
      y: -5,
    });
    const high = raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 10, {
      x: 5,
      y: 5,
      on: 'top',
    });
    // Two blocks, the upper one on a corner of the lower: one point in common.
    const { mesh } = look([low]);
    const other = look([high]).mesh;
    const both = {
      ...mesh,
      positions: new Float32Array([
        ...mesh.positions,
        ...other.positions.map((mm, at) => (at % 3 === 2 ? mm + 10 : mm)),
      ]),
      indices: new Uint32Array([
        ...mesh.indices,
        ...other.indices.map((index) => index + mesh.positions.length / 3),
      ]),
    };
    expect(pointContacts(both)).toEqual([[0, 0, 10]]);
    expect(pointContacts(mesh)).toEqual([]);
  });

  test('along an edge fails at its step, in words of its own', () => {
    const corner = (x: number, y: number) =>
      raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 10, { x, y });
    const { repair } = new RepairDraft('x').body('b', 'b', [corner(-5, -5), corner(5, 5)]);
    const builder = new RepairBuilder(kernel);
    const { steps } = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
    builder.dispose();
    expect(steps[1]).toMatchObject({ state: 'failed', fault: { code: 'step.touchesAtEdge' } });
  });
});

test('a face broken down to a sliver is found, and a narrow ease is not', () => {
  const base = block(40, 20, 5);
  const step = raised(outlineOf('rectangle', { length: 40, breadth: 19.98, cornerRadius: 0 }), 5, {
    on: 'top',
  });
  const found = look([base, step]);
  const sliver = only(found.cautions, 'face.sliver');
  expect(sliver.count).toBe(2);
  expect(sliver.breadthMm).toBeCloseTo(0.01, 4);
  const eased = stepOf('chamfer', { size: 0.2 }) as Extract<Step, { kind: 'chamfer' }>;
  eased.where = { edges: 'upright', of: base.id };
  expect(sliversOf(look([base, eased]).mesh)).toEqual([]);
});

describe('what hangs over air', () => {
  const stem = raised(outlineOf('circle', { diameter: 10 }), 20);
  const head = raised(outlineOf('circle', { diameter: 30 }), 5, { on: 'top' });

  test('is the underside of a mushroom’s head, and nothing once it is turned over', () => {
    const { cautions, mesh } = look([stem, head]);
    const { areaMm2, turnedMm2 } = only(cautions, 'slope.unsupported');
    const exact = (Math.PI / 4) * (900 - 100);
    expect(Math.abs(areaMm2 / exact - 1)).toBeLessThan(0.01);
    expect(turnedMm2).toBe(0);
    expect(overhangOf(mesh, -1)).toBeNull();
    const turned = mend(only(cautions, 'slope.unsupported'), [stem, head]);
    expect(mendWords(turned.act)).toBe('Turn the part over');
    expect(look(turned.steps).codes).not.toContain('slope.unsupported');
  });

  test('is nothing under a slope of 45°, nor in what is cut from the solid', () => {
    const cone = stepOf('cone', { effect: 'add', lower: 10, upper: 30, height: 10, on: 'top', x: 0, y: 0 });
    expect(look([stem, cone]).codes).not.toContain('slope.unsupported');
    expect(look([stem, head], 'steel').codes).not.toContain('slope.unsupported');
  });

  test('both ways up alike: turning it over is not offered', () => {
    const reel = [head, stem, { ...head, id: 'second' }].map((step, index) =>
      index === 0 ? ({ ...step, on: 'bottom' } as Step) : ({ ...step, on: 'top' } as Step),
    );
    const { cautions } = look(reel);
    expect(mendsOf(only(cautions, 'slope.unsupported'), { steps: reel }, newId, NO_SIZES)).toEqual([]);
  });
});

describe('a sharp corner at the root of what stands out', () => {
  const base = block(40, 20, 5);
  const peg = stepOf('peg', { diameter: 6, height: 20, x: 0, y: 0 });

  test('is told with a radius, and rounding it there mends it', () => {
    const { cautions } = look([base, peg, drill(3, 15)]);
    const root = only(cautions, 'root.sharp');
    expect(root).toMatchObject({ of: peg.id, on: base.id, radiusMm: 1.5 });
    expect(cautionSentence(root, (id) => (id === base.id ? 1 : 2))).toBe(
      'Where step 2 meets step 1 the corner is sharp, and a load on it cracks there first. Round it by about 1.50 mm.',
    );
    const { steps } = mend(root, [base, peg, drill(3, 15)]);
    expect(steps.map(({ kind }) => kind)).toEqual(['extrude', 'peg', 'fillet', 'hole']);
    expect(look(steps).codes).toEqual([]);
  });

  test('of something stout, or in a material that gives, it is not', () => {
    expect(look([base, stepOf('peg', { diameter: 14, height: 10, x: 0, y: 0 })]).codes).toEqual([]);
    expect(look([base, peg], 'tpu').codes).toEqual([]);
  });
});

test('a strained tongue is mended by the length that would do', () => {
  const tongue = stepOf('tongue', {
    effect: 'add',
    length: 10,
    breadth: 6,
    thickness: 2,
    bump: 1,
    play: 0,
    turn: 0,
    on: 'bottom',
    x: 0,
    y: 0,
  });
  const told = only(look([tongue]).cautions, 'tongue.strained');
  const { steps } = mend(told, [tongue]);
  expect(look(steps).codes).not.toContain('tongue.strained');
});

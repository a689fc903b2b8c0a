import { evaluateRepair } from '@core/fitting/fit';
import { copyRepair, numberValue, Repair, type Step } from '@core/record/model';
import { RepairBuilder } from '@core/shaping/solid';
import type { Kernel } from '@core/shaping/kernel';
import { testKernel } from '@core/testing/kernel';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { liftedBody, liftedSteps, MISSING_MM } from './lift';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});
let ids = 0;
const newId = () => `lifted-${(ids += 1)}`;
function volumeOf(repair: Repair, bodyId: string): number {
  const builder = new RepairBuilder(kernel);
  const built = builder.build(repair.bodies, evaluateRepair(repair)).get(bodyId)!;
  const volume = built.check?.volumeMm3 ?? 0;
  expect(built.steps.filter(({ state }) => state !== 'built')).toEqual([]);
  builder.dispose();
  return volume;
}

/** A repair in which steps refer to each other and to another body in every way there is. */
function entangled(): Repair {
  const base = { ...block(40, 20, 6), id: 'base' } as Step;
  const bore = stepOf('hole', { diameter: 4, depth: 'through', x: -12, y: 0 }, 'bore');
  const row = { id: 'row', kind: 'pattern', of: 'bore', pattern: { by: 'layout', id: 'layout' } } as Step;
  const post = raised(outlineOf('offset', { of: { step: 'bore' }, by: 1 }), 5, {
    on: { face: { tag: 'base:top', near: [0, 0, 6] } },
    y: 0,
  });
  const room = stepOf('body', { of: 'pin', effect: 'cut', grow: 0.1, wayIn: 'none' }, 'room');
  const rim = {
    ...stepOf('fillet', { size: 0.5 }, 'rim'),
    where: { edges: 'picked', picks: [{ tags: ['base:top', 'room:pin-rim'], near: [0, 8, 6] }] },
  } as Step;
  const eased = {
    ...stepOf('chamfer', { size: 0.5 }, 'eased'),
    where: { edges: 'between', of: 'base', and: post.id },
  } as Step;
  const pin = stepOf('disc', { diameter: 3, width: 30 }, 'pin');
  const moved = {
    ...stepOf('move', { dx: 0, dy: 8, dz: -5 }, 'moved'),
    axis: 'z',
    turn: 0,
    scale: 1,
  } as Step;
  const { repair } = new RepairDraft('Plate').body('plate', 'Plate', [
    base,
    bore,
    row,
    post,
    room,
    rim,
    eased,
  ]);
  repair.bodies.push({
    id: 'pin',
    version: 1,
    name: 'Pin',
    role: 'counterpart',
    steps: [pin, moved],
    removed: false,
  });
  const { layout } = new LayoutDraft([
    { x: 0, y: 0 },
    { x: 12, y: 0 },
  ]).between(1, 2);
  repair.layouts.push(layout);
  return repair;
}

test('a copy of a repair builds as the first did: whatever refers to a step, a body or a face follows', () => {
  const repair = entangled();
  const volume = volumeOf(repair, 'plate');
  let count = 0;
  const copy = copyRepair(repair, () => `copy-${(count += 1)}`);
  expect(Repair.parse(copy)).toEqual(copy);
  expect(volumeOf(copy, copy.bodies[0]!.id)).toBeCloseTo(volume, 6);
});

test('a drawn outline keeps the names of its points in a copy', () => {
  const points = [
    ['a', 0, 0],
    ['b', 9, 0],
    ['c', 0, 6],
  ].map(([id, x, y]) => ({ id: String(id), x: numberValue(Number(x)), y: numberValue(Number(y)) }));
  const curves = ['ab', 'bc', 'ca'].map((ends) => ({ kind: 'line' as const, from: ends[0]!, to: ends[1]! }));
  const step = raised({ shape: 'drawn', points, curves, relations: [] }, 5);
  const { repair } = new RepairDraft('Wedge').body('b', 'B', [step]);
  const copy = copyRepair(repair, newId);
  expect(copy.bodies[0]!.steps[0]).toMatchObject({ outline: { points, curves } });
  expect(volumeOf(copy, copy.bodies[0]!.id)).toBeCloseTo(135, 6);
});

describe('lifting from another repair', () => {
  test('a body comes with its numbers as they are, and builds the same without the rest', () => {
    const from = rackWheel();
    const volume = volumeOf(from, 'wheel');
    const lifted = liftedBody(from.bodies[0]!, evaluateRepair(from), newId);
    const { repair } = new RepairDraft('Other');
    repair.bodies.push(lifted);
    expect(Repair.parse(repair)).toEqual(repair);
    expect(volumeOf(repair, lifted.id)).toBeCloseTo(volume, 6);
    // Nothing of the other repair is left in it.
    expect(JSON.stringify(lifted.steps)).not.toMatch(/"from":"(size|fit|formula|layout)"/);
    for (const { id } of from.bodies[0]!.steps)
      expect(JSON.stringify(lifted)).not.toMatch(`"(id|of|rimOf)":"${id}"`);
  });

  test('places of a layout come as points', () => {
    const from = entangled();
    const [base, bore, row] = liftedSteps(from.bodies[0]!.steps.slice(0, 3), evaluateRepair(from), newId);
    expect(row).toMatchObject({ of: bore!.id, pattern: { by: 'points', points: [{}, {}] } });
    const { repair } = new RepairDraft('Other').body('b', 'B', [base!, bore!, row!]);
    // The bore itself and two more.
    expect(volumeOf(repair, 'b')).toBeCloseTo((800 - 3 * Math.PI * 4) * 6, 6);
  });

  test('a number that is not known yet is typed, and the step says so', () => {
    const draft = new RepairDraft('x').measured('A', 'Across', []);
    const [step] = liftedSteps(
      [draft.step('disc', { diameter: 'A', width: 5 })],
      evaluateRepair(draft.repair),
      newId,
    );
    expect(step).toMatchObject({ diameter: numberValue(MISSING_MM), width: numberValue(5) });
    expect(step!.note).toContain('not known');
  });

  test('bands in other steps than raised ones come as circles', () => {
    const from = entangled();
    const band = { shape: 'layoutHull', layout: 'layout', diameter: numberValue(8) };
    const sections = [0, 10].map((at) => ({
      outline: band,
      at: numberValue(at),
      x: numberValue(0),
      y: numberValue(0),
      turn: 0,
    }));
    const blend = stepOf('loft', { effect: 'add', sections, between: 'straight', on: 'bottom', x: 0, y: 0 });
    const [lifted] = liftedSteps([blend], evaluateRepair(from), newId);
    expect(lifted).toMatchObject({ sections: [{ outline: { shape: 'hull', circles: [{}, {}] } }, {}] });
    const { repair } = new RepairDraft('Other').body('b', 'B', [lifted!]);
    expect(volumeOf(repair, 'b')).toBeCloseTo((12 * 8 + Math.PI * 16) * 10, 4);
  });

  test('a drawing lets go of another body that it followed, and says so; an edge of its own part it keeps', () => {
    const point = (id: string, x: number, y: number) => ({ id, x: numberValue(x), y: numberValue(y) });
    const cut = { tag: 'block:wall', near: [0, 0, 0] as [number, number, number] };
    const outline = {
      shape: 'drawn',
      points: [point('a', 0, 0), point('b', 9, 0), point('c', 0, 6)],
      curves: [
        { kind: 'line', from: 'a', to: 'b', id: 'c1', follows: { cut, body: 'pin' } },
        { kind: 'line', from: 'b', to: 'c', id: 'c2', follows: { cut } },
        { kind: 'line', from: 'c', to: 'a', id: 'c3' },
      ],
      relations: [],
    } as const;
    const step = raised(outline as never, 5);
    const [lifted] = liftedSteps([step], evaluateRepair(new RepairDraft('Wedge').repair), newId);
    const { curves } = (lifted as unknown as { outline: { curves: { follows?: object }[] } }).outline;
    expect(curves[0]).not.toHaveProperty('follows');
    expect(curves[1]).toHaveProperty('follows');
    expect(lifted!.note).toContain('another body');
  });
});

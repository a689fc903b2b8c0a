import { evaluateRepair } from '@core/fitting/fit';
import { sizeValue, type Repair, type Step } from '@core/record/model';
import { minus } from '@core/foundations/vectors';
import { toWorld } from '@core/shaping/part';
import type { Kernel } from '@core/shaping/kernel';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';
import { nextPlaceReason, nextPlaceSentences, wayWords } from '@core/reporting/wording';

import { misplacedBy, nextPlace, placeMakerOf, isPlacedAsTried } from './misplaced';

const show = {
  length: (mm: number) => `${mm.toFixed(2)} mm`,
  signed: (mm: number) => `${mm < 0 ? '−' : '+'}${Math.abs(mm).toFixed(2)}`,
  word: 'mm',
};

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** A plate with a hole for a pin, at a place. */
function plate(place: Record<string, unknown>, more: Step[] = [], thickness = 3): Repair {
  const draft = new RepairDraft('Plate')
    .measured('A', 'Pin', ['6.00'], { of: 'counterpart' })
    .measured('B', 'Edge to pin', ['12.00'])
    .fit('bore', 'Bore over the pin', 'A', 'slides');
  const hole = {
    ...draft.step('hole', { diameter: 'fit:bore', depth: 'through', x: 4, y: 5 }, 'hole'),
    ...place,
  };
  return draft.body('plate', 'Plate', [
    draft.step('plate', { length: 60, breadth: 40, thickness, cornerRadius: 0 }, 'slab'),
    hole as Step,
    ...more,
  ]).repair;
}
const standing = (repair: Repair) => ({ bodies: repair.bodies, numbers: evaluateRepair(repair) });
const nextOf = (repair: Repair, firstMm: number, secondMm: number) =>
  nextPlace({ fitId: 'bore', misplaced: { firstMm, secondMm } }, standing(repair))!;

test('numbers that stand in the step are moved by as much, from a far edge the other way', () => {
  const repair = plate({});
  const { body, changed } = nextOf(repair, 0.4, -0.25);
  expect(changed).toEqual([
    { way: 'x', fromMm: 4, toMm: 4.4 },
    { way: 'y', fromMm: 5, toMm: 4.75 },
  ]);
  expect(body!.steps[1]).toMatchObject({ x: { from: 'number', mm: 4.4 }, y: { from: 'number', mm: 4.75 } });
  expect(body!.steps[0]).toBe(repair.bodies[0]!.steps[0]);

  // 4 in from the right edge: further to the right is less.
  const fromEdge = nextOf(plate({ xFrom: 'high', yFrom: 'highFlush' }), 0.4, 0.4);
  expect(fromEdge.changed.map(({ toMm }) => toMm)).toEqual([3.6, 4.6]);
  expect(nextOf(plate({ xFrom: 'low' }), 0.4, 0).changed).toEqual([{ way: 'x', fromMm: 4, toMm: 4.4 }]);
});

test('a measured place is not changed but asked for again, with what it should be', () => {
  const next = nextOf(plate({ x: sizeValue('b'), xFrom: 'low' }), -0.3, 0);
  expect(next).toMatchObject({ body: null, changed: [] });
  expect(next.again).toEqual([{ way: 'x', tag: 'B', name: 'Edge to pin', fromMm: 12, toMm: 11.7 }]);
  expect(nextPlaceSentences(next, show)).toEqual([
    'Plate, step 2: its place from left to right comes from B Edge to pin, 12.00 mm. Measure that again: it should be about 11.70 mm.',
  ]);
  const formula = { from: 'formula', text: 'B / 2', unit: 'mm' };
  const worked = nextOf(plate({ y: formula }), 0, 0.2);
  expect(worked.elsewhere).toEqual([{ way: 'y', byMm: 0.2 }]);
  expect(nextPlaceSentences(worked, show)[0]).toContain('is worked out from others, and is off by +0.20 mm');
});

test('in words that belong to its ground', () => {
  const next = nextOf(plate({ on: 'front' }), 0, 0.5);
  expect(nextPlaceSentences(next, show)).toEqual([
    'Plate, step 2: its place in height becomes 5.50 mm instead of 5.00 mm.',
  ]);
  expect(nextPlaceReason(next, 'Bore over the pin', show)).toBe(
    'Bore over the pin moved: step 2, 5.50 mm for 5.00 mm',
  );
  expect(wayWords('left')).toEqual({ x: ['to the front', 'to the back'], y: ['down', 'up'] });
  expect(wayWords('bottom').y).toEqual(['to the front', 'to the back']);
});

test('nothing is guessed where its ways have no names, or several steps take the fit', () => {
  const maker = (repair: Repair) => placeMakerOf('bore', repair.bodies);
  expect(maker(plate({}))).toMatchObject({ number: 2, on: 'top' });
  expect(maker(plate({ tilt: 0.3 }))).toBeNull();
  expect(maker(plate({ xFrom: 'there' }))).toBeNull();
  expect(maker(plate({ on: { face: { tag: 'slab:top', near: [0, 0, 3] } } }))).toBeNull();
  const again = new RepairDraft('x').step(
    'hole',
    { diameter: 'fit:bore', depth: 'through', x: 9, y: 9 },
    'second',
  );
  expect(maker(plate({}, [again]))).toBeNull();
  expect(placeMakerOf('other', plate({}).bodies)).toBeNull();
});

test('a place that was moved since the trial is not moved twice', () => {
  const off = { fitId: 'bore', misplaced: { firstMm: 0.4, secondMm: 0 } };
  const tried = standing(plate({}));
  const moved = (mm: number) => standing(plate({ x: { from: 'number', mm } }));
  expect(nextPlace(off, moved(4), tried)!.changed).toEqual([{ way: 'x', fromMm: 4, toMm: 4.4 }]);
  expect(nextPlace(off, moved(4.4), tried)).toBeNull();
  expect(nextPlace(off, moved(4.1), tried)!.changed).toEqual([{ way: 'x', fromMm: 4.1, toMm: 4.4 }]);
  // Measured from elsewhere since, or by a size instead of a number, its numbers do not compare.
  expect(nextPlace(off, standing(plate({ xFrom: 'low' })), tried)).toBeNull();
  expect(nextPlace(off, standing(plate({ x: sizeValue('b') })), tried)).toBeNull();
  const bySize = standing(plate({ x: sizeValue('b'), xFrom: 'low' }));
  const taken = plate({ x: sizeValue('b'), xFrom: 'low' });
  taken.readings.filter(({ sizeId }) => sizeId === 'b').forEach((reading) => (reading.value = 12.4));
  expect(nextPlace(off, bySize, bySize)!.again).toMatchObject([{ tag: 'B', fromMm: 12, toMm: 12.4 }]);
  expect(nextPlace(off, standing(taken), bySize)).toBeNull();
});

test('what is pointed at is told along the ways of its ground, to a tenth', () => {
  const by = (on: 'top' | 'front' | 'left') => misplacedBy({ on }, [1, 2, 3], [1.52, 1.01, 5]);
  expect(by('top')).toEqual({ firstMm: 0.5, secondMm: -1 });
  expect(by('front')).toEqual({ firstMm: 0.5, secondMm: 2 });
  expect(by('left')).toEqual({ firstMm: -1, secondMm: 2 });
});

test('pointed at moves the hole to where the finger was, whatever side it is on and whichever edge it is measured from', () => {
  for (const place of [{}, { on: 'front' }, { on: 'left' }, { xFrom: 'high', yFrom: 'low' }]) {
    const repair = plate(place, [], 30);
    const maker = placeMakerOf('bore', repair.bodies)!;
    const { firstMm, secondMm } = misplacedBy(maker, [0, 0, 0], [0.5, 0.7, 0.3])!;
    const { body } = nextOf(repair, firstMm, secondMm);
    const at = (bodies: Repair['bodies']) => {
      const moved = { ...repair, bodies };
      const builder = new BodyBuilder(kernel);
      builder.build(bodies[0]!, evaluateRepair(moved));
      const { stand } = builder.after()!.earlier.get('hole')!;
      builder.dispose();
      return toWorld(stand.frame, [...stand.at, 0]);
    };
    const by = minus(at([body!]), at(repair.bodies));
    const wanted = place.on === 'front' ? [0.5, 0, 0.3] : place.on === 'left' ? [0, 0.7, 0.3] : [0.5, 0.7, 0];
    by.forEach((mm, axis) => expect([place, mm]).toEqual([place, expect.closeTo(wanted[axis]!, 9)]));
  }
});

test('it is pointed at only while it stands where it was tried', () => {
  const [tried, moved] = [standing(plate({})), standing(plate({ x: { from: 'number', mm: 4.5 } }))];
  expect(isPlacedAsTried('bore', tried, null)).toBe(true);
  expect(isPlacedAsTried('bore', tried, tried)).toBe(true);
  expect(isPlacedAsTried('bore', moved, tried)).toBe(false);
  expect(isPlacedAsTried('bore', standing(plate({ xFrom: 'high' })), tried)).toBe(false);
  const formula = standing(plate({ y: { from: 'formula', text: 'B / 2', unit: 'mm' } }));
  expect(isPlacedAsTried('bore', formula, formula)).toBe(false);
});

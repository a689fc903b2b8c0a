import { evaluateRepair } from '@core/fit';
import { sizeValue, type Repair, type Step } from '@core/model';
import { RepairDraft } from '@core/testing/repairDraft';
import { nextPlaceReason, nextPlaceSentences, wayWords } from '@core/wording';

import { nextPlace, placeMakerOf } from './misplaced';

const show = {
  length: (mm: number) => `${mm.toFixed(2)} mm`,
  signed: (mm: number) => `${mm < 0 ? '−' : '+'}${Math.abs(mm).toFixed(2)}`,
  word: 'mm',
};

/** A plate with a hole for a pin, at a place. */
function plate(place: Record<string, unknown>, more: Step[] = []): Repair {
  const draft = new RepairDraft('Plate')
    .measured('A', 'Pin', ['6.00'], { of: 'counterpart' })
    .measured('B', 'Edge to pin', ['12.00'])
    .fit('bore', 'Bore over the pin', 'A', 'slides');
  const hole = {
    ...draft.step('hole', { diameter: 'fit:bore', depth: 'through', x: 4, y: 5 }, 'hole'),
    ...place,
  };
  return draft.body('plate', 'Plate', [
    draft.step('plate', { length: 60, breadth: 40, thickness: 3, cornerRadius: 0 }, 'slab'),
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

import { usedWords } from '@core/reporting/wording';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair, formulaLength, usesOf, type EvaluatedRepair } from '@core/fitting/fit';
import {
  copyRepair,
  readRepairFile,
  writeRepairFile,
  type Layout,
  type Photo,
  type Repair,
  type Step,
} from '@core/record/model';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

const folder = join(__dirname, '..', '..', '..', 'demo', 'repairs');
const demos = readdirSync(folder).map((name) => [name, readFileSync(join(folder, name), 'utf8')] as const);
const open = (text: string): Repair => {
  const read = readRepairFile(text);
  if (!read.ok) throw new Error(JSON.stringify(read.fault));
  return read.value.repair;
};
/** All numbers of a repair by names that survive a copy. */
function numbersOf(numbers: EvaluatedRepair) {
  return {
    sizes: [...numbers.sizes.values()].map(({ size, worked }) => [
      size.tag,
      worked.ok && worked.trail.working,
    ]),
    fits: [...numbers.fits.values()].map(({ fit, worked, chance }) => [
      fit.name,
      worked.ok && worked.trail.working,
      chance?.probability,
    ]),
    layouts: [...numbers.layouts.values()].map(({ solved }) => solved.points.map(({ x, y }) => [x, y])),
    chains: [...numbers.chains.values()].map(({ stack }) => stack),
  };
}

describe.each(demos)('%s', (_, text) => {
  test('is written as it was read', () => {
    const repair = open(text);
    expect(open(writeRepairFile({ repair }, '2026-05-04T09:00:00.000Z'))).toEqual(repair);
  });

  test('has the same numbers under other ids', () => {
    const repair = open(text);
    let count = 0;
    const copy = copyRepair(repair, () => `copy-${(count += 1)}`);
    expect(numbersOf(evaluateRepair(copy))).toEqual(numbersOf(evaluateRepair(repair)));
    expect(open(writeRepairFile({ repair: copy }, '2026-05-04T09:00:00.000Z'))).toEqual(copy);
  });
});

describe('the hinge plate of the demo', () => {
  const plate = open(demos.find(([name]) => name.startsWith('locker'))![1]);

  test('derived sizes by hand', () => {
    const value = (tag: string) => {
      const found = [...evaluateRepair(plate).sizes.values()].find(({ size }) => size.tag === tag)!;
      return found.worked.ok ? found.worked.trail.working : null;
    };
    // c² / 8h + h / 2 with 8.5 and 1.75; (59.94 − (47.23 − 5.26)) / 2.
    expect(value('N')).toBeCloseTo(6.04, 2);
    expect(value('O')).toBe(8.99);
  });

  test('the slip in E is found, and the holes stand where they should once it is out', () => {
    const { solved } = evaluateRepair(plate).layouts.get('holes')!;
    const wrong = plate.layouts[0]!.distances.find(({ id }) => id === solved.suspect!.distanceId)!;
    expect(wrong.source).toEqual({ from: 'size', id: 'e' });
    const without: Layout = {
      ...plate.layouts[0]!,
      distances: plate.layouts[0]!.distances.map((distance) =>
        distance === wrong ? { ...distance, leftOut: 'slipped' } : distance,
      ),
    };
    const { solved: sound } = evaluateRepair({ ...plate, layouts: [without] }).layouts.get('holes')!;
    const [one, two] = sound.points as [(typeof sound.points)[0], (typeof sound.points)[0]];
    expect(two.x - one.x).toBeCloseTo(41.97, 2);
    expect(sound.suspect).toBeNull();
  });

  test('uses of a size reach through layouts, formulas and constructions', () => {
    expect(usesOf(plate, { from: 'size', id: 'a' }).map(usedWords)).toEqual(['size O', 'layout Screw holes']);
    // The first hole, and the repeat that makes the others.
    expect(usesOf(plate, { from: 'layout', id: 'holes' }).map(usedWords)).toEqual([
      'Plate, step 2',
      'Plate, step 3',
    ]);
  });
});

describe('a file that refers to what is not there', () => {
  const reasonFor = (edit: (repair: Repair) => void) => {
    const repair = rackWheel();
    edit(repair);
    const read = readRepairFile(writeRepairFile({ repair }, '2026-05-04T09:00:00.000Z'));
    return read.ok ? null : (read.fault as { path: string }).path;
  };
  const photo: Photo = {
    id: 'p',
    version: 1,
    name: 'Photo',
    file: 'a'.repeat(64),
    widthPx: 10,
    heightPx: 10,
    tags: [{ id: 't', sizeId: 'nobody', x: 0.5, y: 0.5 }],
    removed: false,
  };

  test('a tag on a photo', () => {
    expect(reasonFor((repair) => repair.photos.push(photo))).toBe('repair.photos[0].tags[0].sizeId');
  });

  test('a distance of a layout', () => {
    const { layout } = new LayoutDraft([
      { x: 0, y: 0 },
      { x: 9, y: 0 },
    ]).between(1, 2);
    layout.distances[0]!.to = { point: 'gone' };
    expect(reasonFor((repair) => repair.layouts.push(layout))).toBe('repair.layouts[0].distances[0].to');
  });

  test('two layouts of one id', () => {
    const { layout } = new LayoutDraft([]);
    expect(reasonFor((repair) => repair.layouts.push(layout, layout))).toBe('repair.layouts[1].id');
  });
});

describe('a formula in a chip', () => {
  const numbers = evaluateRepair(
    new RepairDraft('x').measured('A', 'Rim', ['38.20']).measured('B', 'Pin', []).repair,
  );

  test('uses working sizes', () => {
    expect(formulaLength('A / 2 + 3', 'mm', numbers)).toMatchObject({ ok: true, value: 22.1 });
    expect(formulaLength('A / 2 + 1', 'in', numbers)).toMatchObject({ value: expect.closeTo(44.5, 9) });
  });

  test.each([
    ['B + 1', 'value.sizeNotTaken'],
    ['C + 1', 'formula.unknownSize'],
    ['A * A', 'formula.wrongResult'],
    ['A * A / (A - A)', 'formula.divisionByZero'],
    ['A +', 'formula.notRead'],
  ])('%s is refused', (text, code) => {
    expect(formulaLength(text, 'mm', numbers)).toMatchObject({ ok: false, fault: { code } });
  });
});

describe('a fit in a formula', () => {
  const draft = () =>
    new RepairDraft('x').measured('A', 'Axle', ['6.02']).fit('bore', 'Bore on the axle', 'A', 'turns');
  const numbers = evaluateRepair(draft().repair);

  test('is its working size: a wall of 2 round a fitted hole', () => {
    // 6.02 + 0.18 + 0.12 for the printer, and twice 2.
    expect(formulaLength('fit(A) + 4', 'mm', numbers)).toMatchObject({ ok: true, value: 6.32 + 4 });
    expect(formulaLength('(fit(A) - A) / 2', 'mm', numbers)).toMatchObject({
      value: expect.closeTo(0.15, 12),
    });
  });

  test('of several on one size the one meant is named', () => {
    const two = evaluateRepair(draft().fit('peg', 'Peg in it', 'A', 'snug', 'peg').repair);
    expect(formulaLength('fit(A)', 'mm', two)).toMatchObject({
      fault: { code: 'formula.severalFits', tag: 'A', choices: 'fit(A; bore) or fit(A; peg)' },
    });
    expect(formulaLength('fit(A; bore)', 'mm', two)).toMatchObject({ value: 6.32 });
    expect(formulaLength('fit(A; snug)', 'mm', two)).toMatchObject({
      value: expect.closeTo(6.02 - 0.03 - 0.03, 9),
    });
  });

  test.each([
    ['fit(B) + 1', 'formula.noFit'],
    ['fit(A; slot)', 'formula.noFit'],
    ['fit(A + 1)', 'formula.notRead'],
    ['fit(A) * A', 'formula.wrongResult'],
  ])('%s is refused', (text, code) => {
    expect(formulaLength(text, 'mm', numbers)).toMatchObject({ ok: false, fault: { code } });
  });

  test('is no size of its own, and is found as used where it stands', () => {
    const { repair } = draft().formula('B', 'Wall', 'fit(A) / 2');
    expect(evaluateRepair(repair).sizes.get('b')!.result).toMatchObject({
      status: 'impossible',
      fault: { code: 'formula.fitInSize' },
    });
    const peg = { id: 'p', kind: 'peg', diameter: { from: 'formula', text: 'fit(A) + 4', unit: 'mm' } };
    const used = draft().body('b', 'Boss', [peg as unknown as Step]).repair;
    expect(usesOf(used, { from: 'fit', id: 'bore' })).toMatchObject([
      { kind: 'step', name: 'Boss', place: 1 },
    ]);
  });
});

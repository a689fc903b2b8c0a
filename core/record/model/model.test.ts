import fc from 'fast-check';

import {
  CAME_WITH_FILE,
  takenIn,
  applyChange,
  Change,
  copyRepair,
  inverseOf,
  letterAt,
  nextLetter,
  readRepairFile,
  Repair,
  REPAIR_FILE_LIMIT_BYTES,
  Size,
  writeRepairFile,
  REPAIR_FILE_VERSION,
} from '@core/record/model';
import { newTrial } from '@core/fitting/trial';
import { evaluateRepair } from '@core/fitting/fit';
import { freeze } from '@core/reporting/revision';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';
import { sentenceOf } from '@core/reporting/wording';

const NOW = '2026-05-04T10:00:00.000Z';

function applied(repair: Repair, change: Change): Repair {
  const result = applyChange(repair, change);
  if (!result.ok) throw new Error(result.fault.code);
  return result.value;
}
const putReading = (repair: Repair, mm: number): Change => ({
  changeId: 'c1',
  row: 'reading',
  baseVersion: repair.readings[0]!.version,
  value: { ...repair.readings[0]!, value: mm },
});

describe('changes', () => {
  test('trials that come with a file count for nothing until somebody says so; one that was left out keeps its reason', () => {
    const repair = rackWheel();
    const trial = newTrial(
      { state: repair, numbers: evaluateRepair(repair), letter: null },
      { id: 't', of: 'part', triedAt: '2026-05-01T00:00:00.000Z', madePartId: null },
    );
    const { trials } = takenIn({ ...repair, trials: [trial, { ...trial, id: 'u', leftOut: 'bad plastic' }] });
    expect(trials.map(({ leftOut }) => leftOut)).toEqual([CAME_WITH_FILE, 'bad plastic']);
  });

  test('put a row, count its version up and leave the others alone', () => {
    const repair = rackWheel();
    const after = applied(repair, putReading(repair, 38.3));
    expect(after.readings[0]).toMatchObject({ value: 38.3, version: 2 });
    expect(after.readings[1]).toBe(repair.readings[1]);
    expect(after.sizes).toBe(repair.sizes);
    expect(repair.readings[0]!.value).toBe(38.2);
  });

  test('from an old version are refused with the row as it is now', () => {
    const repair = rackWheel();
    const after = applied(repair, putReading(repair, 38.3));
    const second = applyChange(after, { ...putReading(repair, 38.4), baseVersion: 1 });
    expect(second).toMatchObject({
      ok: false,
      fault: { code: 'row.stale', version: 2, theirs: { value: 38.3 } },
    });
  });

  test('are undone by their inverse, for an edit, a new row and a removal', () => {
    const repair = rackWheel();
    const size: Size = { ...repair.sizes[0]!, id: 'new', tag: 'G', version: 0 };
    const changes: Change[] = [
      putReading(repair, 40),
      { changeId: 'c2', row: 'size', baseVersion: 0, value: size },
      { changeId: 'c3', row: 'fit', baseVersion: 1, value: { ...repair.fits[0]!, removed: true } },
      { changeId: 'c4', row: 'head', baseVersion: 1, value: { ...repair.head, name: 'Other' } },
    ];
    for (const change of changes) {
      const after = applied(repair, change);
      const back = applied(after, inverseOf(repair, change, 'undo')!);
      const visible = (state: Repair) => ({
        name: state.head.name,
        rows: [...state.sizes, ...state.readings, ...state.fits]
          .filter((row) => !row.removed)
          .map((row) => ({ ...row, version: 0 })),
      });
      expect(visible(back)).toEqual(visible(repair));
      expect(visible(after)).not.toEqual(visible(repair));
    }
  });

  test('two sizes added at once get different tags', () => {
    const repair = rackWheel();
    const add = (id: string): Change => ({
      changeId: id,
      row: 'size',
      baseVersion: 0,
      value: { ...repair.sizes[0]!, id, tag: 'G', version: 0 },
    });
    const both = applied(applied(repair, add('one')), add('two'));
    expect(both.sizes.slice(-2).map((size) => size.tag)).toEqual(['G', 'H']);
  });

  test('cannot refer to a size that is not there, or touch a frozen revision', () => {
    const repair = rackWheel();
    const orphan = { ...repair.readings[0]!, id: 'orphan', sizeId: 'nobody', version: 0 };
    expect(
      applyChange(repair, { changeId: 'c', row: 'reading', baseVersion: 0, value: orphan }),
    ).toMatchObject({
      fault: { code: 'row.refersToNothing', refersTo: 'size' },
    });
    const revision = freeze(repair, {
      id: 'rev',
      note: '',
      frozenAt: NOW,
      figures: [],
      workshop: DEFAULT_WORKSHOP,
    });
    const frozen = applied(repair, { changeId: 'c', row: 'revision', baseVersion: 0, value: revision });
    expect(
      applyChange(frozen, { changeId: 'd', row: 'revision', baseVersion: 1, value: revision }),
    ).toMatchObject({ fault: { code: 'row.frozen', letter: 'A' } });
  });

  test.each([
    ['a name of 300 characters', { name: 'x'.repeat(300) }],
    ['an empty name', { name: '   ' }],
    ['a name on two lines', { name: 'a\nb' }],
    ['a tag that is no letter', { tag: '1' }],
    ['a negative given length', { given: -1 }],
    ['an unknown key', { colour: 'red' }],
  ])('with %s do not pass the border', (_, fields) => {
    const value = { ...rackWheel().sizes[0]!, ...fields };
    expect(Change.safeParse({ changeId: 'c', row: 'size', baseVersion: 1, value }).success).toBe(false);
  });

  test('markup in a name is kept as plain text', () => {
    const value = { ...rackWheel().sizes[0]!, name: ' <img src=x onerror=alert(1)> ' };
    expect(Size.parse(value).name).toBe('<img src=x onerror=alert(1)>');
  });
});

describe('the repair file', () => {
  const reasonFor = (text: string) => {
    const read = readRepairFile(text);
    return read.ok ? null : read.fault;
  };
  const edited = (edit: (file: { version: unknown; repair: Record<string, never[]> }) => void) => {
    const file = JSON.parse(writeRepairFile({ repair: rackWheel() }, NOW)) as never;
    edit(file);
    return JSON.stringify(file);
  };

  test('reads back what was written, revisions and all', () => {
    const repair = rackWheel();
    repair.revisions.push(
      freeze(repair, { id: 'rev', note: 'first', frozenAt: NOW, figures: [], workshop: DEFAULT_WORKSHOP }),
    );
    const content = { repair, workshop: DEFAULT_WORKSHOP, photoFiles: [] };
    expect(readRepairFile(writeRepairFile(content, NOW))).toEqual({ ok: true, value: content });
  });

  test('is refused with the place of the mistake', () => {
    expect(reasonFor('{"format":')).toEqual({ code: 'file.notJson' });
    expect(reasonFor(writeRepairFile({ repair: rackWheel() }, NOW).slice(0, 900))).toEqual({
      code: 'file.notJson',
    });
    expect(reasonFor('[]')).toEqual({ code: 'file.notARepairFile' });
    expect(reasonFor('{"format":"other"}')).toEqual({ code: 'file.notARepairFile' });
    expect(reasonFor(edited((file) => (file.version = REPAIR_FILE_VERSION + 1)))).toEqual({
      code: 'file.otherVersion',
      version: REPAIR_FILE_VERSION + 1,
      supported: REPAIR_FILE_VERSION,
    });
    expect(reasonFor(edited((file) => Object.assign(file.repair.sizes![1]!, { colour: 1 })))).toEqual({
      code: 'file.unknownKey',
      path: 'repair.sizes[1]',
      keys: ['colour'],
    });
    expect(
      reasonFor(edited((file) => Object.assign(file.repair.readings![2]!, { value: 'six' }))),
    ).toMatchObject({
      code: 'file.invalid',
      path: 'repair.readings[2].value',
    });
    expect(
      reasonFor(edited((file) => Object.assign(file.repair.readings![0]!, { sizeId: 'zz' }))),
    ).toMatchObject({
      path: 'repair.readings[0].sizeId',
    });
    expect(reasonFor(edited((file) => Object.assign(file.repair.sizes![1]!, { tag: 'A' })))).toMatchObject({
      path: 'repair.sizes[1].tag',
    });
    expect(reasonFor(' '.repeat(REPAIR_FILE_LIMIT_BYTES + 1))).toMatchObject({ code: 'file.tooBig' });
  });

  test('what is none of several kinds is told at its field, with what may stand there', () => {
    const told = (change: (step: Record<string, unknown>) => void) => {
      const repair = rackWheel();
      change(repair.bodies[0]!.steps[0] as unknown as Record<string, unknown>);
      const text = writeRepairFile({ repair, workshop: DEFAULT_WORKSHOP, photoFiles: [] }, NOW);
      const read = readRepairFile(text);
      return read.ok ? '' : sentenceOf(read.fault);
    };
    expect(told((step) => (step.kind = 'whittle'))).toMatch(/bodies\[0\]\.steps\[0\]\.kind.*it must be "/);
    expect(told((step) => (step.diameter = { from: 'number', mm: 'wide' }))).toMatch(
      /steps\[0\]\.diameter\.mm: it must be a number/,
    );
    expect(told((step) => (step.diameter = { from: 'guess' }))).toMatch(/steps\[0\]\.diameter.*it must be "/);
  });

  test('never throws, whatever it is given', () => {
    fc.assert(fc.property(fc.json(), (text) => expect(readRepairFile(text).ok).toBe(false)));
  });

  test('a copy has new ids everywhere and is otherwise the same', () => {
    const repair = rackWheel();
    repair.revisions.push(
      freeze(repair, { id: 'rev', note: '', frozenAt: NOW, figures: [], workshop: DEFAULT_WORKSHOP }),
    );
    let count = 0;
    const copy = copyRepair(repair, () => `n${(count += 1)}`);
    expect(Repair.parse(copy)).toEqual(copy);
    const oldIds = ['rack-wheel', 'a', 'a-1', 'wheel', 'rev'];
    const text = JSON.stringify(copy);
    for (const id of oldIds) expect(text).not.toContain(`"${id}"`);
    // Its kind is a word of its own.
    expect(text.replaceAll('"kind":"disc"', '')).not.toContain('"disc"');
    const disc = copy.bodies[0]!.steps[0]!;
    expect(disc).toMatchObject({ kind: 'disc', diameter: { from: 'size', id: copy.sizes[0]!.id } });
    expect(copy.bodies[0]!.steps[1]).toMatchObject({ rimOf: disc.id });
    expect(copy.revisions[0]!.state.sizes[0]!.id).toBe(copy.sizes[0]!.id);
  });
});

test('letters go from A to Z, then AA', () => {
  expect([0, 25, 26, 27, 701, 702].map(letterAt)).toEqual(['A', 'Z', 'AA', 'AB', 'ZZ', 'AAA']);
  expect(nextLetter(['A', 'C'])).toBe('B');
});

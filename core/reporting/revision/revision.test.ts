import { readFileSync } from 'node:fs';

import { evaluateRepair } from '@core/fitting/fit';
import {
  applyChange,
  numberValue,
  readRepairFile,
  rowBefore,
  type Change,
  type Repair,
  type Revision,
  type Trial,
} from '@core/record/model';
import { progressOf } from '@core/reporting/progress';
import {
  backTo,
  branchesOf,
  compare,
  freeze,
  lastThatFitted,
  isAsIn,
  type RowToPut,
} from '@core/reporting/revision';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { newTrial } from '@core/fitting/trial';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

const NOW = '2026-05-04T10:00:00.000Z';
const figures = (volumeMm3: number) => [
  {
    bodyId: 'wheel',
    closed: true,
    pieces: 1,
    volumeMm3,
    areaMm2: 1,
    massG: (volumeMm3 * 1.27) / 1000,
    bboxMm: [38.2, 38.2, 8] as [number, number, number],
  },
];

test('a revision takes the next letter and holds the state as it was', () => {
  const repair = rackWheel();
  const first = freeze(repair, {
    id: 'r1',
    note: 'first try',
    frozenAt: NOW,
    figures: [],
    workshop: DEFAULT_WORKSHOP,
  });
  repair.revisions.push(first);
  expect(first.letter).toBe('A');
  expect(
    freeze(repair, { id: 'r2', note: '', frozenAt: NOW, figures: [], workshop: DEFAULT_WORKSHOP }).letter,
  ).toBe('B');
  expect('revisions' in first.state).toBe(false);
});

test('what differs between two revisions, by number', () => {
  const before = rackWheel();
  const after = rackWheel();
  after.fits[0]!.fitClass = 'loose';
  after.readings.filter((row) => row.sizeId === 'c').forEach((row) => (row.value += 0.5));
  Object.assign(after.bodies[0]!.steps[3]!, { size: numberValue(0.5) });
  after.bodies[0]!.steps.pop();

  const rows = compare(
    { state: before, workshop: DEFAULT_WORKSHOP, figures: figures(7000) },
    { state: after, workshop: DEFAULT_WORKSHOP, figures: figures(7100) },
  );
  const row = (label: string) => rows.find((candidate) => candidate.label === label);
  expect(row('C Width')).toMatchObject({ group: 'size', from: 8, to: 8.5, unit: 'mm' });
  expect(row('Bore on the axle, how freely')).toMatchObject({ from: 'Turns', to: 'Loose' });
  expect(row('Bore on the axle, allowance')).toMatchObject({ from: 0.18, to: 0.4 });
  expect(row('Bore on the axle, working size')).toMatchObject({ from: 6.32, to: 6.54 });
  expect(row('Wheel: Ease both mouths of the hole by, ease')).toMatchObject({ from: 0.4, to: 0.5 });
  expect(row('Wheel: Ease the outer edges by')).toMatchObject({ from: 'there', to: null });
  expect(row('Wheel: volume')).toMatchObject({ from: 7000, to: 7100, unit: 'mm³' });
  expect(row('Wheel: outside, height')).toBeUndefined();
  expect(rows).toHaveLength(8);
});

test('nothing differs from itself', () => {
  const repair = rackWheel();
  const side = { state: repair, workshop: DEFAULT_WORKSHOP, figures: figures(1) };
  expect(compare(side, side)).toEqual([]);
});

describe('progress', () => {
  test('follows the order of the work', () => {
    const draft = new RepairDraft('Wheel');
    expect(progressOf(draft.repair)).toMatchObject({ stage: 'sizes', next: { do: 'sayWhatToMeasure' } });
    draft.measured('A', 'Rim', ['38.2']).measured('B', 'Axle', [], { of: 'counterpart' });
    expect(progressOf(draft.repair)).toMatchObject({
      stage: 'sizes',
      next: { do: 'takeSizes', taken: 1, of: 2 },
    });
    draft.repair.readings.push({ ...draft.repair.readings[0]!, id: 'b-1', sizeId: 'b', value: 6 });
    expect(progressOf(draft.repair).stage).toBe('fits');
    draft.fit('f', 'Bore', 'B', 'turns');
    expect(progressOf(draft.repair)).toMatchObject({ stage: 'shape', next: { do: 'startRecipe' } });
    const repair = rackWheel();
    expect(progressOf(repair)).toMatchObject({ stage: 'make', next: { do: 'freezeFirst' } });
    repair.revisions.push(
      freeze(repair, { id: 'r', note: '', frozenAt: NOW, figures: [], workshop: DEFAULT_WORKSHOP }),
    );
    expect(progressOf(repair).next).toEqual({ do: 'makeFrozen', letter: 'A' });
    repair.readings = repair.readings.map((row, index) => (index === 0 ? { ...row, version: 2 } : row));
    expect(progressOf(repair).next).toEqual({ do: 'freezeChanges', letter: 'A' });
  });
});

describe('the demo’s repair files', () => {
  const files = ['rack-wheel', 'easel-foot', 'loom-spool-holder', 'cabin-window-stay', 'locker-hinge-plate'];
  test.each(files)('%s can be read', (file) => {
    const text = readFileSync(`${__dirname}/../../../demo/repairs/${file}.json`, 'utf8');
    expect(readRepairFile(text)).toMatchObject({ ok: true });
  });
});

describe('going back to a revision', () => {
  const frozen = (repair: Repair, id: string) => {
    repair.revisions.push(
      freeze(structuredClone(repair), {
        id,
        note: '',
        frozenAt: NOW,
        figures: [],
        workshop: DEFAULT_WORKSHOP,
      }),
    );
    return structuredClone(repair);
  };
  /** What stands after the rows were put, as the server would have it. */
  const after = (repair: Repair, rows: RowToPut[]) =>
    rows.reduce((state, { row, value }, index) => {
      const version = rowBefore(state, row, value.id)?.version ?? 0;
      const change = { changeId: `c${index}`, row, baseVersion: version, value } as Change;
      const applied = applyChange(state, change);
      if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
      return applied.value;
    }, repair);

  test('what stands is the same again, what came since is away and can be brought back, and no revision changed', () => {
    const asA = frozen(rackWheel(), 'r1');
    const changed = structuredClone(asA);
    changed.fits[0]!.fitClass = 'loose';
    changed.readings.find(({ sizeId }) => sizeId === 'c')!.leftOut = 'a slip';
    changed.bodies[0]!.steps.pop();
    changed.head.materialId = 'asa';
    changed.head.name = 'Wheel of the rack';
    changed.sizes.push({ ...changed.sizes[0]!, id: 'new', tag: 'Z', name: 'Came later' });
    const asB = frozen(changed, 'r2');
    const back = after(asB, backTo(asB, asB.revisions[0]!));

    const side = (state: Repair) => ({ state, workshop: DEFAULT_WORKSHOP, figures: [] });
    expect(compare(side(asA), side(back))).toEqual([]);
    expect(compare(side(asA), side(asB)).length).toBeGreaterThan(3);
    expect(back.head).toMatchObject({ standsOn: 'A', materialId: 'petg', name: 'Wheel of the rack' });
    expect(back.sizes.find(({ id }) => id === 'new')).toMatchObject({ removed: true });
    expect(back.revisions).toEqual(asB.revisions);
    const [a, b] = asB.revisions as [Revision, Revision];
    expect([isAsIn(asB, a), isAsIn(asB, b), isAsIn(back, a)]).toEqual([false, true, true]);
    // What no number shows would be lost all the same.
    const renamed = structuredClone(asB);
    renamed.sizes[0]!.name = 'Rim, over the tread';
    expect(compare(side(asB), side(renamed))).toEqual([]);
    expect(isAsIn(renamed, b)).toBe(false);
    expect(isAsIn({ ...asB, head: { ...asB.head, materialId: 'pla' } }, b)).toBe(false);
    // There and back again.
    const again = after(back, backTo(back, asB.revisions[1]!));
    expect(compare(side(asB), side(again))).toEqual([]);
    expect(again.head.standsOn).toBeUndefined();
  });

  test('what is frozen then branches from it, and the tree says how each one went', () => {
    const repair = rackWheel();
    frozen(repair, 'r1');
    frozen(repair, 'r2');
    repair.head.standsOn = 'A';
    frozen(repair, 'r3');
    delete repair.head.standsOn;
    frozen(repair, 'r4');
    const trial = (letter: string, verdict: 'right' | 'stiff'): Trial => {
      const begun = newTrial(
        { state: repair, numbers: evaluateRepair(repair), letter },
        { id: `t-${letter}-${verdict}`, of: 'part', triedAt: NOW, madePartId: null },
      );
      return { ...begun, results: begun.results.map((result) => ({ ...result, verdict })) };
    };
    repair.trials = [trial('A', 'stiff'), trial('B', 'right'), trial('C', 'stiff'), trial('C', 'right')];
    expect(
      branchesOf(repair).map(({ revision, from, branched, outcome }) => [
        revision.letter,
        from,
        branched,
        outcome,
      ]),
    ).toEqual([
      ['A', null, false, 'didNotFit'],
      ['B', 'A', false, 'fitted'],
      ['C', 'A', true, 'fitted'],
      ['D', 'C', false, 'untried'],
    ]);
    expect(lastThatFitted(repair)?.letter).toBe('C');
    expect(lastThatFitted({ ...repair, trials: [trial('A', 'stiff')] })).toBeNull();
  });
});

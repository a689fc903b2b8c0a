import { readFileSync } from 'node:fs';

import { readRepairFile, numberValue } from '@core/model';
import { progressOf } from '@core/progress';
import { compare, freeze } from '@core/revision';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/workshop';

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
    expect(progressOf(draft.repair)).toMatchObject({ stage: 'sizes', next: 'Say what to measure' });
    draft.measured('A', 'Rim', ['38.2']).measured('B', 'Axle', [], { of: 'counterpart' });
    expect(progressOf(draft.repair)).toMatchObject({ stage: 'sizes', next: '1 of 2 sizes taken' });
    draft.repair.readings.push({ ...draft.repair.readings[0]!, id: 'b-1', sizeId: 'b', value: 6 });
    expect(progressOf(draft.repair).stage).toBe('fits');
    draft.fit('f', 'Bore', 'B', 'turns');
    expect(progressOf(draft.repair)).toMatchObject({ stage: 'shape', next: 'Start the recipe' });
    const repair = rackWheel();
    expect(progressOf(repair)).toMatchObject({ stage: 'make', next: 'Freeze revision A and make it' });
    repair.revisions.push(
      freeze(repair, { id: 'r', note: '', frozenAt: NOW, figures: [], workshop: DEFAULT_WORKSHOP }),
    );
    expect(progressOf(repair).next).toBe('Revision A is frozen');
    repair.readings = repair.readings.map((row, index) => (index === 0 ? { ...row, version: 2 } : row));
    expect(progressOf(repair).next).toBe('Changed since revision A');
  });
});

describe('the demo’s repair files', () => {
  const files = ['rack-wheel', 'easel-foot', 'loom-spool-holder', 'cabin-window-stay', 'locker-hinge-plate'];
  test.each(files)('%s can be read', (file) => {
    const text = readFileSync(`${__dirname}/../../demo/repairs/${file}.json`, 'utf8');
    expect(readRepairFile(text)).toMatchObject({ ok: true });
  });
});

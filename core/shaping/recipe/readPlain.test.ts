import { readLetters, readPlain } from '@core/shaping/recipe';
import { plainFieldAt, type PlainBounds, type Step } from '@core/record/model';
import { evaluateRepair } from '@core/fitting/fit';
import { sentenceOf } from '@core/reporting/wording';
import { RepairDraft } from '@core/testing/repairDraft';

const number = (mm: number) => ({ from: 'number', mm }) as const;
const here = { on: 'top', x: number(0), y: number(0) } as const;
const outline = {
  shape: 'gear',
  teeth: 20,
  module: number(1),
  pressure: 0.35,
  shift: 0,
  backlash: number(0.1),
  side: 'outside',
} as const;
const gear = {
  id: 'a',
  kind: 'extrude',
  effect: 'add',
  ...here,
  outline,
  turn: 0,
  height: number(5),
} as Step;
const row = {
  id: 'b',
  kind: 'pattern',
  of: 'a',
  pattern: { by: 'grid', count: 3, rows: 2, dx: number(5), dy: number(5) },
} as Step;
const section = { outline, at: number(0), x: number(0), y: number(0), turn: 0 };
const blend = {
  id: 'c',
  kind: 'loft',
  effect: 'add',
  ...here,
  between: 'straight',
  sections: [section, { ...section, tilt: 0.1, shift: 1 }],
} as Step;
const snap = { id: 'd', kind: 'bump', effect: 'add', ...here, breadth: number(8), bump: number(1) } as const;
const bump = { ...snap, play: number(0.2), turn: 0, undercut: 0.1 } as Step;

const numbers = evaluateRepair(
  new RepairDraft('Gear')
    .chosen('A', 'rise', 30)
    .chosen('B', 'way', 30)
    .measured('N', 'teeth', ['12'], { quantity: 'count' })
    .measured('D', 'depth', []).repair,
);
const boundsAt = (step: Step, path: string): PlainBounds => plainFieldAt(step, path)!;
const read = (typed: string, step: Step, path: string) => {
  const result = readPlain(typed, boundsAt(step, path), numbers);
  return result.ok ? result.value : sentenceOf(result.fault);
};

test('angles come in degrees and go into a step in radians', () => {
  expect(read('90', gear, 'turn')).toBeCloseTo(Math.PI / 2, 12);
  expect(read(' −30° ', gear, 'turn')).toBeCloseTo(-Math.PI / 6, 12);
  expect(read('22,5', blend, 'sections.1.tilt')).toBeCloseTo(Math.PI / 8, 12);
  expect(read('45/2', gear, 'turn')).toBeCloseTo(Math.PI / 8, 12);
});

test('counts are whole, factors need not be', () => {
  expect(read('12', row, 'pattern.count')).toBe(12);
  expect(read('2.5', row, 'pattern.count')).toBe('“2.5” is not a whole number. Type one, such as 12.');
  expect(read('1,015', gear, 'outline.shift')).toBe(1.015);
});

test('a formula over sizes is kept, and told where it gives what cannot be there', () => {
  expect(read('atan(A / B)', gear, 'turn')).toEqual({ from: 'formula', text: 'atan(A / B)', unit: 'mm' });
  expect(read('2 * N', row, 'pattern.count')).toMatchObject({ from: 'formula', text: '2 * N' });
  expect(read('N / 5', row, 'pattern.count')).toContain('comes out as 2.4');
  expect(read('100 * N', gear, 'outline.teeth')).toBe('This must be between 5 and 300. Change the number.');
  expect(read('A + B', gear, 'turn')).toContain('an angle');
  // It waits for a size that is not taken yet.
  expect(read('atan(D / B)', gear, 'turn')).toMatchObject({ from: 'formula' });
});

test('letters are taken as they are, up to what a part has room for', () => {
  expect(readLetters(' REV B ')).toEqual({ ok: true, value: 'REV B' });
  const long = readLetters('x'.repeat(41));
  expect(!long.ok && sentenceOf(long.fault)).toContain('41 characters');
});

test('words are told what was wanted', () => {
  expect(read('steep!', gear, 'turn')).toBe('“steep!” is not an angle in degrees. Type one, such as 12.');
  expect(read('', gear, 'outline.shift')).toContain('is not a number');
});

/** Both bounds that a sentence names. */
const namedBounds = (sentence: unknown) =>
  /between (\S+) and (\S+)\. Change/.exec(String(sentence))!.slice(1);

test.each<[string, Step, string]>([
  ['turn', gear, 'turn'],
  ['pressure angle', gear, 'outline.pressure'],
  ['profile shift', gear, 'outline.shift'],
  ['teeth', gear, 'outline.teeth'],
  ['columns', row, 'pattern.count'],
  ['rows', row, 'pattern.rows'],
  ['lean of a section', blend, 'sections.1.tilt'],
  ['corners of a section', blend, 'sections.1.shift'],
  ['undercut', bump, 'undercut'],
])('every limit that is named for the %s is taken', (_what, step, path) => {
  const bounds = boundsAt(step, path);
  const refused = namedBounds(read('1000000', step, path));
  for (const [index, typed] of refused.entries()) {
    const value = read(typed, step, path);
    expect(typeof value).toBe('number');
    // Not more than a tenth of a degree, or nothing, inside what the schema says.
    const gap = bounds.quantity === 'angle' ? (0.1 * Math.PI) / 180 : 0;
    expect(Math.abs(Number(value) - [bounds.least, bounds.most][index]!)).toBeLessThanOrEqual(gap + 1e-9);
  }
});

test('what the schema allows of a blend is 24 corners, and 85.9° of lean', () => {
  expect(namedBounds(read('99', blend, 'sections.1.shift'))).toEqual(['−24', '24']);
  expect(namedBounds(read('99', blend, 'sections.1.tilt'))).toEqual(['−85.9°', '85.9°']);
  expect(namedBounds(read('9', gear, 'outline.pressure'))).toEqual(['11.5°', '34.3°']);
  expect(namedBounds(read('46', bump, 'undercut'))).toEqual(['−57.2°', '45.8°']);
});

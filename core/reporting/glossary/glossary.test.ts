import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { glossaryDocument, TERMS, type Term } from '@core/reporting/glossary';

const ROOT = join(__dirname, '..', '..', '..');
const terms = Object.entries<Term>(TERMS);

/** As everywhere: a longer sentence is read twice. */
const MOST_WORDS = 25;

/** Words that everybody of the trade uses, and that our screens use as well. */
const OF_THE_TRADE =
  'slice, layer height, walls, infill, top and bottom layers, supports, overhang, bridge, skirt, brim, mouse ears, travel move, retraction, orientation, bed adhesion, elephant foot, stringing, warping, build volume, nozzle, exposure, clearance, interference, mating part, print settings, outlier, safety factor, allowable stress';

test('every word of the trade is explained once, in one sentence, with a drawing', () => {
  const words = terms.map(([, { word }]) => word);
  expect(OF_THE_TRADE.split(', ').filter((word) => !words.includes(word))).toEqual([]);
  expect(new Set(words).size).toBe(words.length);
  for (const [id, { word, says, drawing }] of terms) {
    expect([id, /^[A-Z].*\.$/.test(says) && !/[.!?] /.test(says)]).toEqual([id, true]);
    expect([id, says.split(' ').length <= MOST_WORDS]).toEqual([id, true]);
    if (OF_THE_TRADE.split(', ').includes(word)) expect([id, drawing]).not.toEqual([id, null]);
  }
});

/** How many numbers a command of a path takes, where it is not a point. */
const NUMBERS_OF = new Map(Object.entries({ h: 1, v: 1, a: 7, c: 6, q: 4, s: 4 }));

/** Where a path goes: the ends of its lines, arcs and curves. */
function pointsOf(path: string): [number, number][] {
  const points: [number, number][] = [];
  let [x, y] = [0, 0];
  for (const [, letter, list] of path.matchAll(/([A-Za-z])([^A-Za-z]*)/g)) {
    const isRelative = letter === letter!.toLowerCase();
    const numbers = (list!.match(/-?\d*\.?\d+/g) ?? []).map(Number);
    const taken = NUMBERS_OF.get(letter!.toLowerCase()) ?? 2;
    for (let at = 0; at < numbers.length; at += taken) {
      const group = numbers.slice(at, at + taken);
      const [fromX, fromY] = isRelative ? [x, y] : [0, 0];
      if (/h/i.test(letter!)) x = fromX + group[0]!;
      else if (/v/i.test(letter!)) y = fromY + group[0]!;
      else [x, y] = [fromX + group.at(-2)!, fromY + group.at(-1)!];
      points.push([x, y]);
    }
  }
  return points;
}

test('drawings stay within their box, and each shows what the word means', () => {
  const drawn = terms.filter(([, { drawing }]) => drawing !== null);
  expect(drawn.length).toBeGreaterThan(60);
  for (const [id, { drawing }] of drawn) {
    expect([id, Boolean(drawing!.accent)]).toEqual([id, true]);
    for (const path of Object.values(drawing!)) {
      expect([id, /NaN|undefined/.test(path as string)]).toEqual([id, false]);
      for (const [x, y] of pointsOf(path as string)) {
        expect([id, x >= 0 && x <= 120 && y >= -1 && y <= 76]).toEqual([id, true]);
      }
    }
  }
  // No two words have the same drawing.
  expect(new Set(drawn.map(([, { drawing }]) => JSON.stringify(drawing))).size).toBe(drawn.length);
});

test('docs/glossary.md is written from these words, and names what the code has', () => {
  expect(readFileSync(join(ROOT, 'docs', 'glossary.md'), 'utf8')).toBe(glossaryDocument());
  const sources = ['core', 'ui', 'server', 'devices']
    .flatMap((folder) =>
      readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
        .filter((name) => /\.tsx?$/.test(name) && !name.includes('glossary'))
        .map((name) => readFileSync(join(ROOT, folder, name), 'utf8')),
    )
    .join('\n');
  const code = sources.replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '');
  const known = new Set(code.match(/[A-Za-z_]\w*/g));
  const quoted = [...glossaryDocument().matchAll(/`([^`]+)`/g)].map(([, name]) => name!);
  const named = quoted
    .filter((one) => !/^(npm|devices)/.test(one))
    .flatMap((one) => one.match(/[A-Za-z]\w+/g) ?? []);
  expect(named.length).toBeGreaterThan(100);
  expect(named.filter((name) => !known.has(name))).toEqual([]);
});

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { glossaryDocument, TERMS, type Term } from '@core/reporting/glossary';

const ROOT = join(__dirname, '..', '..', '..');
const terms = Object.entries<Term>(TERMS);

/** Words that everybody of the trade uses, and that our screens use as well. */
const OF_THE_TRADE =
  'slice, layer height, walls, infill, top and bottom layers, supports, overhang, bridge, skirt, brim, mouse ears, travel move, retraction, orientation, bed adhesion, elephant foot, stringing, warping, build volume, nozzle, exposure, clearance, interference, mating part, print settings, outlier, safety factor, allowable stress';

test('every word of the trade is explained once, in one sentence, with a drawing', () => {
  const words = terms.map(([, { word }]) => word);
  expect(OF_THE_TRADE.split(', ').filter((word) => !words.includes(word))).toEqual([]);
  expect(new Set(words).size).toBe(words.length);
  for (const [id, { word, says, drawing }] of terms) {
    expect([id, /^[A-Z].*\.$/.test(says) && !/[.!?] /.test(says)]).toEqual([id, true]);
    expect([id, says.split(' ').length]).toEqual([id, expect.any(Number)]);
    expect(says.split(' ').length).toBeLessThanOrEqual(26);
    if (OF_THE_TRADE.split(', ').includes(word)) expect([id, drawing]).not.toEqual([id, null]);
  }
});

/** Where a path of moves and lines goes, its arcs and curves by their ends and handles. */
function pointsOf(path: string): [number, number][] {
  const points: [number, number][] = [];
  let [x, y] = [0, 0];
  for (const [, letter, list] of path.matchAll(/([A-Za-z])([^A-Za-z]*)/g)) {
    const numbers = (list!.match(/-?\d*\.?\d+/g) ?? []).map(Number);
    const [from, down] = letter === letter!.toLowerCase() ? [[x, y], 0] : [[0, 0], 0];
    const step = { h: 1, v: 1, a: 7, c: 6, q: 4, s: 4 }[letter!.toLowerCase()] ?? 2;
    let [startX, startY] = from as [number, number];
    for (let at = 0; at < numbers.length; at += step) {
      const group = numbers.slice(at, at + step);
      if (letter === 'h') x += group[0]!;
      else if (letter === 'H') x = group[0]!;
      else if (letter === 'v') y += group[0]!;
      else if (letter === 'V') y = group[0]!;
      else [x, y] = [startX + group.at(-2)!, startY + group.at(-1)!];
      points.push([x, y + down]);
      if (letter === letter!.toLowerCase()) [startX, startY] = [x, y];
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
  const known = new Set(sources.match(/[A-Za-z_]\w*/g));
  const named = [...glossaryDocument().matchAll(/`([A-Za-z]\w*)[^`]*`/g)].map(([, name]) => name!);
  expect(named.length).toBeGreaterThan(80);
  expect(named.filter((name) => !known.has(name) && !['devices', 'npm'].includes(name))).toEqual([]);
});

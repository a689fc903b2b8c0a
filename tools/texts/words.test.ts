import { join } from 'node:path';

import { textsForPeople, type TextForPeople } from './textsForPeople';

/**
 * Words that texts for people no longer have, each with what to say instead. Printing's words so far; every room that is read anew adds its own.
 */
const INSTEAD: readonly [RegExp, string][] = [
  [/\bways between\b/i, 'travel moves'],
  [/\bfilled by\b/i, '… % infill'],
  [/\b(less|walls and|the) filling\b/i, 'infill'],
  [/solid layers on top/i, 'top layers'],
  [/round (its|the) foot/i, 'bed adhesion; brim or skirt'],
  [/hangs? over air|reach(es)? out over (air|nothing)|what hangs/i, 'overhang'],
  [/begins in the air/i, 'starts in mid-air'],
  [
    /\blay (it|them|the part|supports|ears)\b.*\b(layers|way|again|supports|ears|elsewhere)\b/i,
    'slice, orient, use supports',
  ],
  [/\blays? no layers\b/i, 'is not a layer printer'],
  [/\bin whole layers\b/i, 'rounded to whole layers'],
  [/drawn back (before|at)/i, 'retraction'],
  [/\bstands still at\b/i, 'paused'],
  [/let(s)? go of the bed/i, 'came off the bed'],
  [/taken for odd/i, 'outlier'],
  [/of hands\b/i, 'hands-on'],
  [/well too seldom/i, 'too rarely'],
  [/by a hair\b/i, 'almost'],
  [/sucks at the film/i, 'suction cup'],
  [/come as filament/i, 'is sold as filament'],
  [/\bscatters\b/i, 'varies'],
  [/\b(than|as|is) wished\b/i, 'target'],
  [/hangs on it\b/i, 'how important it is; carries a weight'],
  [/stands twice\b/i, 'appears twice'],
  [/again and again\b/i, 'repeatedly'],
  [/take up the play\b/i, 'clearance in'],
];

/** Where “lay” is meant as one lays a scan over a part, or a bolt into it. */
const OTHERWISE: readonly RegExp[] = [/^ui\/found\//, /^core\/wording\/faults\/found/, /^core\/steps\//];

const texts = textsForPeople(join(__dirname, '..', '..'));

test('texts for people are found in all rooms, with their places', () => {
  expect(texts.length).toBeGreaterThan(3000);
  const rooms = new Set(texts.map(({ file }) => file.split('/').slice(0, 2).join('/')));
  for (const room of ['core/wording', 'core/steps', 'ui/layers', 'ui/workshop', 'server/jobs', 'tools/cli'])
    expect([...rooms]).toContain(room);
  // Attributes, plain texts and templates alike; classes and roles are none.
  expect(texts).toContainEqual(
    expect.objectContaining({ file: 'ui/layers/LayersScreen.tsx', text: 'Bed adhesion' }),
  );
  expect(texts.filter(({ text }) => /flex-row|font-sans/.test(text))).toEqual([]);
});

test('no text says what the trade has a word for', () => {
  const found = texts.flatMap(({ file, line, text }: TextForPeople) =>
    INSTEAD.filter(([pattern]) => pattern.test(text) && !OTHERWISE.some((room) => room.test(file))).map(
      ([, instead]) => `${file}:${line} “${text}” → ${instead}`,
    ),
  );
  expect(found).toEqual([]);
});

test('no text has a space before a full stop', () => {
  const found = texts.filter(({ text }) => / [.,;:](?=\s|$)/.test(text) && !/…\s*[.,;:]/.test(text));
  expect(found).toEqual([]);
});

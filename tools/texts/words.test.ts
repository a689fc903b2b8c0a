import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { textsForPeople, type TextForPeople } from './textsForPeople';

/** Words that texts for people do not have, each with what to say instead. */
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
  [/\b(is|are|was|were|be) (told|laid)\b(?! apart)|\btold how\b/i, 'say it; stated as; placed, sliced'],
  [/\blost (step|body|layout|fit|size|point)\b/i, 'missing'],
  [/\b(stands|stood)\b(?! in for)/i, 'is, was'],
  [/\b(lies|lain) (wholly|over|in|on|with|as)\b/i, 'is'],
  [/\ball that is there\b/i, 'the whole part'],
  [/\b(broad|breadth)\b/i, 'wide, width'],
  [/\bover (its |the )?(flats|corners)\b/i, 'across flats'],
  [/\bwished\b/i, 'target'],
  [/\bwants\b/i, 'needs'],
  [/\b(seldom|nobody|whoever|anew|dearest)\b/i, 'rarely, no one, who, again, most expensive'],
  [/\bserver is away\b/i, 'the server can’t be reached'],
  [/\bmend (it|its|that)\b/i, 'fix'],
  [/\bgive (it|them) more play\b/i, 'backlash, clearance'],
  [/\bscatter of\b/i, 'variation, repeatability'],
  [/\bwhat it must fit\b/i, 'the mating part'],
  [/\b(at|above) the foot\b/i, 'first layer'],
  [/\bcame on\b|\bwhat went\b/i, 'added, removed'],
  [/\bsquare to\b/i, 'perpendicular to, at right angles'],
  [/\bto the eye\b/i, 'what it looks like'],
];

/** More words make a sentence that is read twice. */
const MOST_WORDS = 25;

/** What has a capital within a label: the names of the app, of its stages and of its screens, and keys. */
const NAMES = /^(Even|Spare|Workshop|Brief|Sizes|Fits|Shape|Make|Trial|Layers|Layouts|Enter|Shift)\b/;

/** Rooms that speak of other things by these words: plates are laid by a step. */
const OTHERWISE: readonly RegExp[] = [/^core\/shaping\/steps\//];

const ROOT = join(__dirname, '..', '..');
const texts = textsForPeople(ROOT);

test('texts for people are found in all rooms, with their places', () => {
  expect(texts.length).toBeGreaterThan(3000);
  const rooms = new Set(texts.map(({ file }) => file.split('/').slice(0, 2).join('/')));
  for (const room of [
    'core/reporting',
    'core/shaping',
    'ui/layers',
    'ui/workshop',
    'server/jobs',
    'tools/cli',
  ])
    expect([...rooms]).toContain(room);
  // Attributes, plain texts and templates alike; classes and roles are none.
  expect(texts).toContainEqual(
    expect.objectContaining({ file: 'ui/layers/AroundThePart.tsx', text: 'Bed adhesion' }),
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

test(`no sentence has more than ${MOST_WORDS} words`, () => {
  const found = texts
    .filter(({ file, text }) => isProse(file, text))
    .flatMap(({ file, line, text }) =>
      text
        .split(/(?<=[.!?])\s+/)
        .filter((sentence) => sentence.split(/\s+/).length > MOST_WORDS)
        .map((sentence) => `${file}:${line} “${sentence}”`),
    );
  expect(found).toEqual([]);
});

test('no text has two spaces in a row, and labels are in sentence case', () => {
  expect(texts.filter(({ file, text, doubled }) => doubled && isProse(file, text))).toEqual([]);
  const found = texts
    .filter(({ isLabel }) => isLabel)
    .flatMap(({ file, line, text }) =>
      text
        .split(/(?<=[.:!?])\s+/)
        .filter((sentence) =>
          sentence
            .split(' ')
            .slice(1)
            .some((word) => /^[A-Z][a-z]{2}/.test(word) && !NAMES.test(word)),
        )
        .map((sentence) => `${file}:${line} “${sentence}”`),
    );
  expect(found).toEqual([]);
});

/** Statements for a database, shaders and helps of the command line are no sentences. */
const isProse = (file: string, text: string): boolean =>
  !/^(server\/database|server\/http|server\/repairs|ui\/part\/materials|tools\/cli\/main)/.test(file) &&
  !/[;{}]\s*\w+\(/.test(text);

test.each(['README.md', 'docs/what-it-does.md'])(
  '%s says it in the same words, in short paragraphs',
  (file) => {
    const document = readFileSync(join(ROOT, file), 'utf8').replace(/```[\s\S]*?```/g, '');
    expect(INSTEAD.filter(([pattern]) => document.split('\n').some((line) => pattern.test(line)))).toEqual(
      [],
    );
    const paragraphs = document.split(/\n\s*\n|\n(?=- |\d\. )/).filter((one) => !/^\s*(\||#)/.test(one));
    expect(paragraphs.length).toBeGreaterThan(5);
    expect(paragraphs.filter((one) => one.trim().split('\n').length > 5)).toEqual([]);
  },
);

import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  choice,
  effectVerb,
  levelChoice,
  placeWords,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = {
  verb: 'Turn through stations',
  what: 'a handle, a grip or a plug, as measured with calipers',
};

export function sentence(step: StepOf<'stations'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, step.section ? 'Shape' : 'Turn'),
    words(' '),
    sectionChoice(step),
    words(' through '),
    stationRows(step),
    ...(step.rows.length > MOST_IN_WORDS ? [] : [words(':')]),
    ...(step.rows.length > MOST_IN_WORDS ? [] : step.rows).flatMap((row, index) => [
      words(index === 0 ? ' ' : ', '),
      chip(
        `rows.${index}.diameter`,
        `${step.section ? 'width' : 'diameter'} of station ${index + 1}`,
        row.diameter,
      ),
      ...(step.section
        ? [
            words(' by '),
            chip(`rows.${index}.depth`, `depth of station ${index + 1}`, row.depth ?? row.diameter),
            words(' at '),
          ]
        : [words(' across at ')]),
      chip(`rows.${index}.at`, `height of station ${index + 1}`, row.at),
    ]),
    words(', '),
    choice('what is between them', ({ patch }) => patch.between === step.between, [
      { word: 'straight between', patch: { between: 'straight' }, figure: 'betweenStraight' },
      { word: 'smooth between', patch: { between: 'smooth' }, figure: 'betweenSmooth' },
    ]),
    words(', '),
    levelChoice(step),
    ...placeWords(step, context.steps),
  ];
}

/** More stations than this are read in their table, beside the profile that they make. */
const MOST_IN_WORDS = 3;

/** The stations of a turned shape, as a list of rows. */
const stationRows = ({ rows, section }: StepOf<'stations'>): SentencePart => ({
  kind: 'rows',
  field: 'rows',
  what: 'station',
  text: `${rows.length} stations`,
  columns: [
    { key: 'at', word: 'height' },
    { key: 'diameter', word: section ? 'wide' : 'across' },
    ...(section ? [{ key: 'depth', word: 'deep' }] : []),
  ],
  least: 2,
});

/** What the section of stations is: round is turned, the others have a depth. */
function sectionChoice(step: StepOf<'stations'>): SentencePart {
  const deep = step.rows.map((row) => ({ ...row, depth: row.depth ?? row.diameter }));
  const round = step.rows.map(({ at, diameter }) => ({ at, diameter }));
  return choice('its section', ({ patch }) => patch.section === step.section, [
    { word: 'a round shape', patch: { section: undefined, rows: round } },
    { word: 'an oval shape', patch: { section: 'oval', rows: deep } },
    { word: 'a square-edged shape', patch: { section: 'box', rows: deep } },
  ]);
}

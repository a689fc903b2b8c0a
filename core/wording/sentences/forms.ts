import { numberValue, takesAway, type Step, type StepOf } from '@core/model';
import { THREADS } from '@core/standards';

import { outlineParts, turnParts, type OutlineSources } from './outlines';
import {
  added,
  angle,
  chip,
  choice,
  plainNumber,
  typedWords,
  setting,
  verb,
  words,
  type Option,
  type SentencePart,
} from './parts';
import { effectVerb, levelChoice, placeWords, type EarlierStep } from './places';

type Form = StepOf<'wedge' | 'spin' | 'blend' | 'run' | 'thread' | 'text' | 'tongue' | 'bump'>;

/** Sentences of the steps that make a form of their own, other than the plain ones. */
export function formSentence(step: Form, sources?: OutlineSources): SentencePart[] {
  switch (step.kind) {
    case 'wedge':
      return [
        effectVerb(step, 'Set'),
        words(' a wedge '),
        chip('length', 'length', step.length),
        words(' long, '),
        chip('breadth', 'breadth', step.breadth),
        words(' broad, '),
        chip('low', 'height on the left', step.low),
        words(' high on the left and '),
        chip('high', 'height on the right', step.high),
        words(' on the right'),
        ...turnParts(step.turn),
        ...standing(step, sources?.steps),
      ];
    case 'spin':
      return [
        effectVerb(step, 'Turn'),
        words(' '),
        ...outlineParts(step.outline, 'outline', sources),
        words(', its middle '),
        chip('away', 'distance from the axis', step.away),
        words(' from an upright axis and '),
        chip('up', 'height of its middle', step.up),
        words(' up, by '),
        angle('angle', 'how far round', step.angle),
        words(' from '),
        angle('turn', 'where it begins', step.turn),
        ...standing(step, sources?.steps),
      ];
    case 'blend':
      return [
        effectVerb(step, 'Blend'),
        words(' from '),
        ...step.sections.flatMap(({ outline, at, x, y, turn, tilt, shift }, index) => {
          const path = `sections.${index}`;
          const isAside = ![x, y].every((value) => value.from === 'number' && value.mm === 0);
          return [
            words(index === 0 ? '' : index === step.sections.length - 1 ? ' to ' : ' by '),
            ...outlineParts(outline, `${path}.outline`, sources),
            words(' at '),
            chip(`${path}.at`, `height of outline ${index + 1}`, at),
            ...(isAside
              ? [
                  words(', '),
                  chip(`${path}.x`, 'place to the right', x),
                  words(' right and '),
                  chip(`${path}.y`, 'place to the back', y),
                  words(' back'),
                ]
              : []),
            ...(outline.shape === 'circle' ? [] : turnParts(turn, `${path}.turn`)),
            ...(tilt === undefined
              ? []
              : [
                  words(', '),
                  added('how it lies', 'leaning', 'level', { [`${path}.tilt`]: undefined }),
                  words(' '),
                  angle(`${path}.tilt`, 'lean', tilt),
                ]),
            ...(shift === undefined
              ? []
              : [
                  words(', its corners '),
                  ...plainNumber(`${path}.shift`, 'how many corners on', shift, 'count'),
                  words(' '),
                  added('its corners', 'further on', 'as they are', { [`${path}.shift`]: undefined }),
                ]),
          ];
        }),
        words('; '),
        sectionCount(step),
        words(', '),
        setting('between', 'what is between them', step.between, [
          ['straight', 'straight between'],
          ['smooth', 'smooth between'],
        ]),
        ...standing(step, sources?.steps),
      ];
    case 'run':
      return [
        effectVerb(step, 'Run'),
        words(' '),
        ...outlineParts(step.outline, 'outline', sources),
        words(' along a path of '),
        {
          kind: 'rows',
          field: 'path',
          what: 'point',
          text: `${step.path.length} points`,
          columns: [
            { key: 'x', word: 'to the right' },
            { key: 'y', word: 'to the back' },
            { key: 'up', word: 'up' },
          ],
          least: 2,
        },
        words(', '),
        setting('along', 'how it runs', step.along, [
          ['straight', 'straight, bends rounded'],
          ['smooth', 'smooth through them'],
        ]),
        ...(step.along === 'straight' ? [words(' '), chip('bend', 'bend', step.bend)] : []),
        words(', '),
        setting('closed', 'whether it comes back', step.closed, [
          [false, 'open at its ends'],
          [true, 'back to its beginning'],
        ]),
        ...endingParts(step),
        ...standing(step, sources?.steps),
      ];
    case 'thread':
      return threadSentence(step, sources?.steps);
    case 'text':
      return [
        effectVerb(step, 'Letter'),
        words(' it with '),
        typedWords('text', 'letters', step.text),
        words(', capitals '),
        chip('height', 'height of the letters', step.height),
        words(' high, '),
        chip('depth', 'depth of the letters', step.depth),
        words(takesAway(step.effect) ? ' deep' : ' raised'),
        ...turnParts(step.turn),
        ...standing(step, sources?.steps),
      ];
    case 'tongue':
      return [
        effectVerb(step, 'Set'),
        words(takesAway(step.effect) ? ' the room for a tongue ' : ' a springy tongue '),
        chip('length', 'length', step.length),
        words(' long, '),
        chip('breadth', 'breadth', step.breadth),
        words(' broad, '),
        chip('thickness', 'thickness', step.thickness),
        words(' thick, its bump '),
        ...snapParts(step, sources?.steps),
      ];
    case 'bump':
      return [
        effectVerb(step, 'Set'),
        words(takesAway(step.effect) ? ' the room for a bump ' : ' a bump that snaps in, '),
        chip('breadth', 'breadth', step.breadth),
        words(' broad and '),
        ...snapParts(step, sources?.steps),
      ];
  }
}

/** What a tongue and a bump have in common: how far it stands out, how the face lies that holds, and where it is. */
const snapParts = (step: StepOf<'tongue' | 'bump'>, before?: readonly EarlierStep[]): SentencePart[] => [
  chip('bump', 'bump', step.bump),
  words(' out'),
  ...(step.undercut === undefined
    ? []
    : [
        words(', '),
        added('how it holds', 'leaning back', 'square', { undercut: undefined }),
        words(' '),
        angle('undercut', 'undercut', step.undercut),
      ]),
  ...(takesAway(step.effect) ? [words(', play '), chip('play', 'play', step.play)] : []),
  ...turnParts(step.turn),
  ...standing(step, before),
];

/** Finer points that a step of these has not yet. */
export function formOptions(step: Step): Option[] {
  if (step.kind === 'thread' && step.side === 'inside' && step.made === 'modelled' && !step.eased) {
    return [{ word: 'Ease its mouths', patch: { eased: true } }];
  }
  if ((step.kind === 'tongue' || step.kind === 'bump') && step.undercut === undefined) {
    return [
      { word: 'Hook it: an undercut', patch: { undercut: Math.PI / 12 } },
      { word: 'Let it be pulled out again', patch: { undercut: -Math.PI / 4 } },
    ];
  }
  if (step.kind !== 'blend') return [];
  const last = step.sections.length - 1;
  const { tilt, shift } = step.sections[last]!;
  return [
    ...(tilt === undefined
      ? [{ word: 'Lean its last outline', patch: { [`sections.${last}.tilt`]: Math.PI / 12 } }]
      : []),
    ...(shift === undefined
      ? [{ word: 'Turn back a twist: corners one further on', patch: { [`sections.${last}.shift`]: 1 } }]
      : []),
  ];
}

const standing = (step: Exclude<Form, StepOf<'thread'>>, before?: readonly EarlierStep[]): SentencePart[] => [
  words(', '),
  levelChoice(step),
  ...placeWords(step, before),
];

function threadSentence(step: StepOf<'thread'>, before?: readonly EarlierStep[]): SentencePart[] {
  const isInside = step.side === 'inside';
  const measured = step.length === 'through' ? numberValue(10) : step.length;
  const known = THREADS.some(({ name }) => name === step.size);
  const sizes = known ? THREADS.map(({ name }) => name) : [step.size, ...THREADS.map(({ name }) => name)];
  const through: Option = { word: 'right through', patch: { length: 'through' } };
  const deep: Option = { word: isInside ? 'deep' : 'long', patch: { length: measured } };
  return [
    verb('Thread'),
    words(' '),
    setting('side', 'where the thread is', step.side, [
      ['outside', 'a rod'],
      ['inside', 'a hole'],
    ]),
    words(' '),
    setting(
      'size',
      'the thread',
      step.size,
      sizes.map((name) => [name, name] as const),
    ),
    ...(step.length === 'through' ? [] : [words(', '), chip('length', 'length', step.length)]),
    words(' '),
    choice(
      'how far it goes',
      (option) => (option === through) === (step.length === 'through'),
      isInside ? [through, deep] : [deep],
    ),
    words(', play '),
    chip('play', 'play', step.play),
    words(', '),
    setting('made', 'how it is made', step.made, [
      ['modelled', 'its turns modelled'],
      ['drawn', 'plain, to be cut by hand'],
    ]),
    ...(step.eased
      ? [words(', '), added('its mouths', 'its mouths eased', 'its mouths sharp', { eased: undefined })]
      : []),
    words(', '),
    levelChoice(step),
    ...placeWords(step, before),
  ];
}

/** How many outlines a blend has: one more goes above the last, one fewer takes the last away. */
function sectionCount({ sections }: StepOf<'blend'>): SentencePart {
  const last = sections.at(-1)!;
  const above = last.at.from === 'number' ? numberValue(last.at.mm + 10) : last.at;
  const fewer: Option = {
    word: `${sections.length - 1} outlines`,
    patch: { sections: sections.slice(0, -1) },
  };
  return choice('how many outlines', ({ patch }) => patch.sections === sections, [
    ...(sections.length > 2 ? [fewer] : []),
    { word: `${sections.length} outlines`, patch: { sections } },
    { word: `${sections.length + 1} outlines`, patch: { sections: [...sections, { ...last, at: above }] } },
  ]);
}

/** What the outline of a run has become at its end. */
function endingParts({ outline, ending, closed }: StepOf<'run'>): SentencePart[] {
  if (closed) return [];
  const same: Option = { word: 'the same all along', patch: { ending: undefined } };
  const other: Option = { word: 'ending as', patch: { ending: ending ?? outline } };
  const way = choice('what it ends as', (option) => (option === other) === (ending !== undefined), [
    same,
    other,
  ]);
  return [words(', '), way, ...(ending ? [words(' '), ...outlineParts(ending, 'ending')] : [])];
}

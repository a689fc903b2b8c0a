import { effectOf, numberValue, placeOf, takesAway, type Step, type StepOf } from '@core/model';

import { edgeChoice, stepsBefore, unevenOptions, unevenParts } from './edges';
import { formOptions, formSentence } from './forms';
import { outlineOptions, outlineParts, heightParts, taperOptions, taperParts, turnParts } from './outlines';
import { mirroredWhat, repeatedWhat } from './someSteps';
import { added, chip, choice, verb, words, type Option, type SentencePart } from './parts';
import { patternParts, stationRows, type NamedLayout } from './patterns';
import {
  depthParts,
  effectVerb,
  finerOptions,
  groundedWords,
  groundChoice,
  headOptions,
  headParts,
  levelChoice,
  placeWords,
  groundedOptions,
} from './places';
import { tieOptions, workSentence, type NamedBody } from './works';

/** What a sentence may name besides other steps. */
export interface SentenceNames {
  /** Layouts that a step may be laid out by. */
  layouts?: readonly NamedLayout[];
  /** Other bodies that a step may use. */
  bodies?: readonly NamedBody[];
}

/** What could be added to a step and mostly is not: heads, leaning sides, a lift, a tilt. */
export function moreOptions(step: Step): Option[] {
  const place = placeOf(step);
  return [
    ...(step.kind === 'drill' ? headOptions(step) : []),
    ...(step.kind === 'raise' && step.turn === 0 && step.outline.shape !== 'circle'
      ? [{ word: 'Turn it in its place', patch: { turn: Math.PI / 12 } }]
      : []),
    ...(step.kind === 'raise' ? [...outlineOptions(step), ...taperOptions(step)] : []),
    ...(step.kind === 'ease' ? unevenOptions(step) : []),
    ...(step.kind === 'split' ? tieOptions(step) : []),
    ...formOptions(step),
    ...(step.kind === 'plate' || step.kind === 'turn' ? groundedOptions(step) : []),
    ...(step.kind === 'groove' && !step.up
      ? [{ word: 'Off the middle of the rim', patch: { up: numberValue(1) } }]
      : []),
    ...(place ? finerOptions(place) : []),
  ];
}

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

/** How high a peg is, or how deep its room; that may be told by its floor. */
function pegHeight(step: StepOf<'peg'>): SentencePart[] {
  if (!takesAway(effectOf(step))) return [chip('height', 'height', step.height), words(' high ')];
  const measured: Option = { word: 'deep', patch: { floor: undefined } };
  const level: Option = {
    word: 'above the ground at its floor',
    patch: { floor: true, height: step.floor ? step.height : numberValue(2) },
  };
  return [
    chip('height', step.floor ? 'height of its floor' : 'height', step.height),
    words(' '),
    choice('how deep', (option) => option === (step.floor ? level : measured), [measured, level]),
    words(' '),
  ];
}

/** A step as a sentence that reads aloud. */
export function stepSentence(
  step: Step,
  steps: readonly Step[],
  { layouts = [], bodies = [] }: SentenceNames = {},
): SentencePart[] {
  const sources = {
    steps: stepsBefore(step, steps).map((earlier) => ({ step: earlier, place: steps.indexOf(earlier) + 1 })),
    layouts,
    bodies,
  };
  switch (step.kind) {
    case 'turn':
      return [
        effectVerb(step, 'Turn'),
        words(' a wheel '),
        chip('diameter', 'across', step.diameter),
        words(' across, '),
        chip('width', 'width', step.width),
        words(' wide'),
        ...groundedWords(step, 'round the axle line', sources.steps),
      ];
    case 'plate':
      return [
        effectVerb(step, 'Lay'),
        words(' a plate '),
        chip('length', 'length', step.length),
        words(' long, '),
        chip('breadth', 'breadth', step.breadth),
        words(' broad, '),
        chip('thickness', 'thickness', step.thickness),
        words(' thick, corners rounded '),
        chip('cornerRadius', 'corner radius', step.cornerRadius),
        ...(step.turn ? turnParts(step.turn) : []),
        ...groundedWords(step, 'about the axle line', sources.steps),
      ];
    case 'peg':
      return [
        effectVerb(step, 'Raise'),
        words(' a peg '),
        chip('diameter', 'across', step.diameter),
        words(' across, '),
        ...pegHeight(step),
        groundChoice(step, takesAway(effectOf(step))),
        ...placeWords(step, sources.steps),
      ];
    case 'groove':
      return [
        verb('Cut'),
        words(' a groove '),
        chip('width', 'groove width', step.width),
        words(' wide, '),
        chip('depth', 'groove depth', step.depth),
        ...(step.up
          ? [
              words(' deep, '),
              chip('up', 'height above the middle', step.up),
              words(' above the '),
              added('where on the rim', 'middle of the rim', 'in the middle of the rim', { up: undefined }),
            ]
          : [words(' deep, middle of the rim')]),
      ];
    case 'drill':
      return [
        verb('Drill'),
        words(' a hole '),
        chip('diameter', 'hole', step.diameter),
        ...depthParts(step),
        ...headParts(step),
        words(', '),
        groundChoice(step, true),
        ...placeWords(step, sources.steps),
      ];
    case 'raise':
      return [
        effectVerb(step, 'Raise'),
        words(' '),
        ...outlineParts(step.outline, 'outline', sources, true),
        ...(step.outline.shape === 'circle' || step.turn === 0 ? [] : turnParts(step.turn)),
        ...heightParts(step),
        ...taperParts(step),
        ...placeWords(step, sources.steps),
      ];
    case 'cone':
      return [
        effectVerb(step, 'Set'),
        words(' a cone '),
        chip('lower', 'lower diameter', step.lower),
        words(' across below, '),
        chip('upper', 'upper diameter', step.upper),
        words(' above, '),
        chip('height', 'height', step.height),
        words(' high, '),
        levelChoice(step),
        ...placeWords(step, sources.steps),
      ];
    case 'ball':
      return [
        effectVerb(step, 'Set'),
        words(' a ball '),
        chip('diameter', 'across', step.diameter),
        words(' across, its middle '),
        chip('up', 'height of its middle', step.up),
        words(' above its place, '),
        levelChoice(step),
        ...placeWords(step, sources.steps),
      ];
    case 'ring':
      return [
        effectVerb(step, 'Set'),
        words(' a ring '),
        chip('across', 'across', step.across),
        words(' across its middle, '),
        chip('thick', 'thickness', step.thick),
        words(' thick, '),
        chip('up', 'height of its middle', step.up),
        words(' above its place, '),
        levelChoice(step),
        ...placeWords(step, sources.steps),
      ];
    case 'stations':
      return [
        effectVerb(step, step.section ? 'Shape' : 'Turn'),
        words(' '),
        sectionChoice(step),
        words(' through '),
        stationRows(step),
        words(':'),
        ...step.rows.flatMap((row, index) => [
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
          { word: 'straight between', patch: { between: 'straight' } },
          { word: 'smooth between', patch: { between: 'smooth' } },
        ]),
        words(', '),
        levelChoice(step),
        ...placeWords(step, sources.steps),
      ];
    case 'repeat':
      return [
        verb('Repeat'),
        words(' '),
        repeatedWhat(step, steps),
        words(' '),
        ...patternParts(step, layouts),
      ];
    case 'mirror':
      return [
        choice(
          'what is kept',
          ({ patch }) => patch.keep === step.keep,
          [
            { word: 'Mirror', patch: { keep: 'both' } },
            ...(step.of ? [] : [{ word: 'Turn into its mirror image', patch: { keep: 'other' } }]),
          ],
          true,
        ),
        words(' '),
        mirroredWhat(step, steps),
        words(', '),
        choice('which way', ({ patch }) => patch.across === step.across, [
          { word: 'left to right', patch: { across: 'sides' } },
          { word: 'front to back', patch: { across: 'frontBack' } },
          { word: 'top to bottom, at the ground', patch: { across: 'upDown' } },
        ]),
      ];
    case 'hollow':
      return [
        verb('Hollow'),
        words(' it to a wall of '),
        chip('wall', 'wall', step.wall),
        words(', open '),
        choice('where it is open', ({ patch }) => patch.open === step.open, [
          { word: 'at the top', patch: { open: 'top' } },
          { word: 'at the bottom', patch: { open: 'bottom' } },
          { word: 'at both ends', patch: { open: 'both' } },
          { word: 'nowhere', patch: { open: 'closed' } },
          ...(typeof step.open === 'object'
            ? [{ word: 'at the faces that were picked', patch: { open: step.open } }]
            : []),
          { word: 'Pick faces on the part', patch: {}, pick: { field: 'open', picks: 'faces' } },
        ]),
      ];
    case 'ease':
      return [
        verb('Ease'),
        words(' '),
        edgeChoice(step, steps),
        words(' by '),
        chip('size', 'ease', step.size),
        ...unevenParts(step),
      ];
    case 'round':
      return [
        verb('Round'),
        words(' '),
        edgeChoice(step, steps),
        words(' by '),
        chip('size', 'round', step.size),
      ];
    case 'wedge':
    case 'spin':
    case 'blend':
    case 'run':
    case 'thread':
    case 'text':
    case 'tongue':
    case 'bump':
      return formSentence(step, sources);
    default:
      return workSentence(step, steps, bodies);
  }
}

import { type StepOf, numberValue, takesAway } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  added,
  angle,
  chip,
  choice,
  effectVerb,
  floorOption,
  levelChoice,
  outlineParts,
  placeWords,
  turnParts,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Raise or cut', what: 'an outline: circle, slot, rectangle, polygon' };

export function sentence(step: StepOf<'extrude'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Raise'),
    words(' '),
    ...outlineParts(step.outline, 'outline', context, true),
    ...(step.outline.shape === 'circle' || step.turn === 0 ? [] : turnParts(step.turn)),
    ...heightParts(step),
    ...draftParts(step),
    ...placeWords(step, context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'extrude'>): Option[] => [
  ...(step.turn === 0 && step.outline.shape !== 'circle'
    ? [{ word: 'Turn it where it is', patch: { turn: Math.PI / 12 } }]
    : []),
  ...outlineOptions(step),
  ...draftOptions(step),
];

function heightParts(step: StepOf<'extrude'>): SentencePart[] {
  const through = step.height === 'through';
  const isCut = takesAway(step.effect);
  const deep = isCut ? 'deep' : 'high';
  const measured: Option = {
    word: deep,
    patch: {
      height: step.height === 'through' ? numberValue(5) : step.height,
      bothWays: undefined,
      upTo: undefined,
      floor: undefined,
    },
  };
  const right: Option = {
    word: 'right through',
    patch: { height: 'through', bothWays: undefined, upTo: undefined, floor: undefined },
  };
  const both: Option = {
    word: `${deep}, half to each side`,
    patch: {
      height: step.height === 'through' ? numberValue(5) : step.height,
      bothWays: true,
      upTo: undefined,
      floor: undefined,
    },
  };
  const upTo: Option = { word: 'up to the face that was picked', patch: { upTo: step.upTo } };
  const isFloor = isCut && step.floor === true && !through;
  const floor = floorOption('height', isFloor ? step.height : numberValue(2));
  const now = step.upTo ? upTo : through ? right : step.bothWays ? both : isFloor ? floor : measured;
  // Only what is taken away can go right through.
  const ways = [
    ...(isCut || through ? [right] : []),
    measured,
    both,
    ...(isCut ? [floor] : []),
    ...(step.upTo ? [upTo] : []),
    {
      word: 'Pick a face that it goes up to',
      patch: {},
      pick: { field: 'upTo', picks: 'face' as const },
    },
  ];
  const way = choice('how far it goes', (option) => option === now, ways);
  if (step.upTo) return [words(', '), way, words(', '), levelChoice(step)];
  return step.height === 'through'
    ? [words(', '), way, words(', '), levelChoice(step)]
    : [
        words(', '),
        chip('height', isFloor ? 'height of its floor' : 'height', step.height),
        words(' '),
        way,
        words(', '),
        levelChoice(step),
      ];
}

/** Sides that lean, if they do. */
const draftParts = ({ draft, bothWays }: StepOf<'extrude'>): SentencePart[] =>
  draft === undefined
    ? []
    : [
        words(', '),
        added(
          'how its sides stand',
          bothWays ? 'sides leaning in to both ends by' : 'sides leaning in by',
          'sides upright',
          { draft: undefined },
        ),
        words(' '),
        angle('draft', 'draft angle', draft),
      ];

/** Finer points that the outline of a raised step has not yet. */
function outlineOptions({ outline, draft }: StepOf<'extrude'>): Option[] {
  if (outline.shape === 'drawn' && !outline.band && outline.curves.length > 0)
    return [{ word: 'Make its outline a band', patch: { 'outline.band': numberValue(5) } }];
  return outline.shape === 'gear' && outline.side === 'outside' && !outline.rim && draft === undefined
    ? [{ word: 'Ease its rim', patch: { 'outline.rim': numberValue(0.5) } }]
    : [];
}

const hasEasedRim = ({ outline }: StepOf<'extrude'>): boolean =>
  outline.shape === 'gear' && outline.side === 'outside' && outline.rim !== undefined;

const draftOptions = (step: StepOf<'extrude'>): Option[] =>
  step.draft === undefined && !hasEasedRim(step)
    ? [{ word: 'Lean its sides in', patch: { draft: Math.PI / 60 } }]
    : [];

import { type StepOf, numberValue } from '@core/record/model';
import {
  type EarlierStep,
  type Option,
  type SentenceContext,
  type SentencePart,
  added,
  chip,
  choice,
  levelChoice,
  placeWords,
  setting,
  verb,
  words,
} from '@core/shaping/sentence';
import { THREADS } from '@core/foundations/standards';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Thread', what: 'a rod or a hole: metric, inch or pipe' };

export function sentence(step: StepOf<'thread'>, context: SentenceContext): SentencePart[] {
  return threadSentence(step, context.steps);
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'thread'>): Option[] =>
  step.side === 'inside' && step.made === 'modelled' && !step.eased
    ? [{ word: 'Ease its mouths', patch: { eased: true } }]
    : [];

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
      ['outside', 'a rod', 'threadOutside'],
      ['inside', 'a hole', 'threadInside'],
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

import { type StepOf, numberValue, takesAway } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  choice,
  effectVerb,
  setting,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Make room for', what: 'another body, join it, or keep what both share' };

export function sentence(step: StepOf<'body'>, context: SentenceContext): SentencePart[] {
  const known = context.bodies.some(({ id }) => id === step.of);
  const named = known ? context.bodies : [{ id: step.of, name: 'a missing body' }, ...context.bodies];
  const which = setting(
    'of',
    'which body',
    step.of,
    named.map(({ id, name }) => [id, name] as const),
  );
  if (!takesAway(step.effect)) return [effectVerb(step, 'Join'), words(' '), which];
  return [
    effectVerb(step, 'Join'),
    words(step.effect === 'cut' ? ' the room for ' : ' what it shares with '),
    which,
    words(', '),
    chip('grow', 'play', step.grow),
    words(' larger '),
    choice('its play', ({ patch }) => patch.byFits === step.byFits, [
      { word: 'all round', patch: { byFits: undefined } },
      { word: 'than the fit of each face', patch: { byFits: true, grow: numberValue(0) } },
    ]),
    words(', '),
    setting('wayIn', 'the way in', step.wayIn, [
      ['none', 'no way in cleared'],
      ['top', 'to be put in from the top'],
      ['bottom', 'to be put in from below'],
      ['front', 'to be put in from the front'],
      ['back', 'to be put in from the back'],
      ['left', 'to be put in from the left'],
      ['right', 'to be put in from the right'],
    ]),
  ];
}

import type { MeasuredFault } from '@core/fault';
import { listed } from '@core/sentence';

import { lengthWords } from '../lengthNames';
import { mm, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const MEASURED: Sentences<MeasuredFault> = {
  'size.gone': ({ what }) => `The ${lengthWords(what)} has no size yet, or its size was deleted. Choose one.`,
  'size.wrongQuantity': ({ what, got, wanted }) =>
    `The ${lengthWords(what)} is ${QUANTITY_WORDS[got] ?? got}, but ${QUANTITY_WORDS[wanted] ?? wanted} is wanted here. Choose another size.`,
  'size.tooManyRoots': ({ limit }) =>
    `This rests on more than ${limit} measured sizes. Measure one of those in between instead.`,
  'triangle.open': ({ gapMm }) =>
    `These three lengths do not close: the longest is ${mm(gapMm)} longer than the other two together. Take them again.`,
  'construction.notPossible': ({ what, why }) =>
    `The ${lengthWords(what)} can’t be worked out: ${why}. Check the numbers that go in.`,
  'layout.missing': ({ points, ways }) =>
    `${points.length === 1 ? `Point ${points[0]}` : `Points ${listed(points)}`} can still move: ${ways} more ${ways === 1 ? 'distance is' : 'distances are'} needed. Take one from ${points.length === 1 ? 'it' : 'each'} to a point that is held already.`,
  'layout.open': ({ points, gapMm }) =>
    `The distances between ${listed(points)} can’t meet: they miss each other by ${mm(gapMm)}. Take the longest and the shortest again.`,
  'layout.empty': () => 'A layout needs two points. Tap where they stand.',
  'layout.notSettled': () =>
    'These distances contradict each other too much to place the points. Look for a wrong one, or put the points on the sketch nearer to where they are.',
};

const QUANTITY_WORDS: Record<string, string> = {
  length: 'a length',
  angle: 'an angle',
  count: 'a count',
};

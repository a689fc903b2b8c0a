import type { MeasuredFault, NotPossible } from '@core/foundations/fault';
import { listed } from '@core/shaping/sentence';
import { ownValue } from '@core/foundations/own';

import { numberWords } from '../constructions';
import { mm } from '../amounts';
import { QUANTITY_WORDS, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const MEASURED: Sentences<MeasuredFault> = {
  'size.gone': ({ what }) => `The ${numberWords(what)} has no size yet, or its size was deleted. Choose one.`,
  'size.wrongQuantity': ({ what, got, wanted }) =>
    `The ${numberWords(what)} is ${ownValue(QUANTITY_WORDS, got) ?? got}, but ${ownValue(QUANTITY_WORDS, wanted) ?? wanted} is wanted here. Choose another size.`,
  'size.tooManyRoots': ({ limit }) =>
    `This depends on more than ${limit} measured sizes. Measure one of those in between instead.`,
  'triangle.open': ({ gapMm }) =>
    `These three lengths do not close: the longest is ${mm(gapMm)} longer than the other two together. Take them again.`,
  'construction.notPossible': ({ what, why }) =>
    `The ${numberWords(what)} can’t be worked out: ${NOT_POSSIBLE[why]}. Check the numbers that go in.`,
  'layout.missing': ({ points, ways }) =>
    `${points.length === 1 ? `Point ${points[0]}` : `Points ${listed(points)}`} can still move: ${ways} more ${ways === 1 ? 'distance is' : 'distances are'} needed. Take one from ${points.length === 1 ? 'it' : 'each'} to a point that is fixed already.`,
  'layout.open': ({ points, gapMm }) =>
    `The distances between ${listed(points)} can’t meet: they miss each other by ${mm(gapMm)}. Take the longest and the shortest again.`,
  'layout.empty': () => 'A layout needs two points. Tap where they are.',
  'layout.notSettled': () =>
    'These distances contradict each other too much to place the points. Look for a wrong one, or put the points on the sketch nearer to where they are.',
};

const NOT_POSSIBLE: Record<NotPossible, string> = {
  doNotGoTogether: 'the numbers do not go together',
  farNotMoreThanNear: 'over the far edges must be more than between the near ones',
  inOneLine: 'the three marks are in one line',
  lessThanBothHalves: 'it is less than the two halves of the diameters',
  noBasePitch: 'no standard base pitch is between these two spans; count the teeth between the jaws again',
  noModule: 'no standard module agrees with these sizes; count the teeth again, and check the span',
  notAboveZero: 'it must be more than zero',
  notKnownHere: 'it was made by a construction that is not known here',
  otherSides: 'the number of sides must be 3, 4, 5, 6 or 8',
  outsideNotMoreThanInside: 'the outside must be more than the inside',
  stringTooShort: 'the string is too short for its turns and thickness',
  tooFewHoles: 'a circle needs two holes or more',
  wideNotWiderThanNarrow: 'the wide end must be wider than the narrow one',
};

import type { Dimensioned, FormulaFault } from '@core/foundations/fault';
import { capital } from '@core/shaping/sentence';

import { QUANTITY_WORDS, quoted, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const FORMULA: Sentences<FormulaFault> = {
  'formula.empty': () => 'There is no formula yet. Type one, such as (A - B) / 2.',
  'formula.tooLong': ({ limit }) =>
    `A formula may have ${limit} characters. Split it: make a derived size of one half.`,
  'formula.notRead': ({ text }) =>
    `${quoted(text)} can’t be read as a sum. Use + − × ÷, brackets and tags, such as (A - B) / 2.`,
  'formula.exponent': ({ text }) =>
    `${quoted(text)} may be a power of ten, or a size E with a sign of multiplication left out. Write it out, as 0.2 or 2 * E - 1.`,
  'formula.unknownWord': ({ word }) =>
    `${quoted(word)} is not known here. Use tags in capitals, and sqrt, sin, cos, tan, asin, acos, atan, hypot, min, max, mean, abs or pi.`,
  'formula.fitInSize': ({ name }) =>
    `${quoted(name)} is a working size, which a step can use but a size can’t: fits are made from sizes. Use it in the step.`,
  'formula.noFit': ({ name, tag }) =>
    `There is no fit of that kind on ${tag}, so ${quoted(name)} has no number. Add the fit, or check the tag.`,
  'formula.severalFits': ({ tag, choices }) => `Several fits are called ${tag}. Say which: ${choices}.`,
  'formula.unknownSize': ({ tag }) => `There is no size ${tag}. Add it first, or use another tag.`,
  'formula.mixedUnits': ({ left, right }) =>
    `${capital(DIMENSIONED[left])} and ${DIMENSIONED[right]} can’t be taken together. Check the brackets, and which sizes are meant.`,
  'formula.powerNotPlain': () => 'A power must be a plain number, such as A^2. Write the number out.',
  'formula.wrongResult': ({ got, wanted }) =>
    `This gives ${DIMENSIONED[got]}, but ${QUANTITY_WORDS[wanted]} is wanted. Check what is multiplied and divided.`,
  'formula.divisionByZero': ({ text }) =>
    `${quoted(text)} divides by zero with these numbers. Check what it divides by.`,
  'formula.notReal': ({ text }) =>
    `${quoted(text)} has no result with these numbers: a root of less than zero, or an angle that does not exist. Check them.`,
  'formula.cycle': ({ tags }) =>
    tags.length === 1
      ? `${tags[0]} is worked out from itself. Take it out of its own formula.`
      : `These sizes depend on each other in a circle: ${[...tags, tags[0]].join(' needs ')}. Measure or choose one of them.`,
};

const DIMENSIONED: Record<Dimensioned, string> = {
  plainNumber: 'a plain number',
  length: 'a length',
  area: 'an area',
  volume: 'a volume',
  angle: 'an angle',
  neither: 'neither a length nor an angle',
};

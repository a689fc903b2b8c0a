import type { TypedFault } from '@core/foundations/fault';
import { capital } from '@core/shaping/sentence';

import { mm } from '../amounts';
import { quoted, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const TYPED: Sentences<TypedFault> = {
  'length.empty': () => 'There is no number yet. Type what the calipers show.',
  'length.notANumber': ({ text }) =>
    `${quoted(text)} is not a length. Type a number such as 38.20, or 1 3/16 in.`,
  'length.twoMarks': ({ text }) =>
    `${quoted(text)} has two decimal marks. Use one point or one comma, as in 38.20.`,
  'length.fractionNeedsInch': ({ text }) => `${quoted(text)} is a fraction. Fractions are inches: add “in”.`,
  'length.twoReadings': ({ text, readings }) =>
    `${quoted(text)} can be read in two ways. Choose the one that is meant: ${readings.map(quoted).join(' or ')}.`,
  'length.tolerance': ({ text, low, high, plusMinus, readings }) =>
    `${quoted(text)} gives limits: ${low} to ${high}. Choose ${readings.length === 1 ? `the size, ${readings[0]}` : `their middle, ${readings[0]} (± ${plusMinus}), or the nominal size, ${readings[1]}`}${readings[2] ? `; or the sum ${quoted(readings[2])}` : ''}.`,
  'angle.twoReadings': ({ text, readings }) =>
    `${quoted(text)} may be radians or degrees. Choose ${readings.map(quoted).join(' or ')}.`,
  'length.zeroDenominator': ({ text }) => `${quoted(text)} divides by zero. Check the fraction.`,
  'length.notPositive': ({ mm: value }) =>
    `A reading of ${mm(value)} can’t be right: a size is more than zero. Set the calipers to zero and take it again.`,
  'length.tooLong': ({ mm: value, limitMm, instrument }) =>
    `${mm(value)} is more than the ${instrument.toLowerCase()} can reach (${limitMm} mm). Check the decimal point.`,
  'length.tooLarge': ({ mm: value, limitMm }) =>
    `${mm(value)} is larger than anything made here (${limitMm} mm). Check the decimal point.`,
  'angle.notAnAngle': ({ text }) => `${quoted(text)} is not an angle. Type degrees, such as 22.5 or 22° 30'.`,
  'angle.outOfRange': ({ text }) => `${quoted(text)} is not between 0° and 180°. Check the number.`,
  'count.notACount': ({ text }) => `${quoted(text)} is not a count. Type a whole number from 1 to 10,000.`,
  'name.empty': ({ what }) => `${capital(what)} needs a name. Type a word or two.`,
  'name.taken': ({ name, tag }) =>
    `Size ${tag} is called “${name}” already. Name them so that the names differ, such as by side or place.`,
  'name.tooLong': ({ what, length, limit }) =>
    `The name of ${what} has ${length} characters; there is room for ${limit}. Shorten it, and put the rest in the brief.`,
  'field.invalid': ({ path, message }) => `${capital(path || 'this')}: ${message}.`,
};

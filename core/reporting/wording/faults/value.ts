import type { ValueFault } from '@core/foundations/fault';

import { lengthWords } from '../lengthNames';
import { mm } from '../amounts';
import { named, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const VALUE: Sentences<ValueFault> = {
  'value.sizeNotTaken': ({ what, tag, name }) =>
    `The ${lengthWords(what)} needs size ${tag} (${name}). Take a reading of it first.`,
  'value.sizeGone': ({ what }) =>
    `The ${lengthWords(what)} used a size that is no longer there. Choose another size, or type a number.`,
  'value.fitGone': ({ what }) =>
    `The ${lengthWords(what)} used a fit that is no longer there. Choose another, or type a number.`,
  'value.layoutGone': ({ what }) =>
    `The ${lengthWords(what)} used a point of a layout that is no longer there. Choose another, or type a number.`,
  'value.pointNotPlaced': ({ what, point, layout }) =>
    `The ${lengthWords(what)} needs point ${point} of ${layout}, which is not placed yet. Take the distances that are missing.`,
  'value.outOfRange': ({ length, minMm, maxMm }) =>
    Number.isFinite(length.mm)
      ? `The ${named(length)} must be between ${mm(minMm)} and ${mm(maxMm)}. Change the number.`
      : `The ${lengthWords(length.what)} is not a number. Type one.`,
};

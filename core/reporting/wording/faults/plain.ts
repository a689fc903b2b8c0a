import type { PlainFault } from '@core/foundations/fault';
import { degrees } from '@core/shaping/sentence';

import { boundText, plainText, plainWord } from '../plainNumbers';
import { quoted, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const PLAIN: Sentences<PlainFault> = {
  'plain.notRead': ({ text, input }) =>
    `${quoted(text)} is not ${input === 'angle' ? 'an angle in degrees' : input === 'count' ? 'a whole number' : 'a number'}. Type one, such as ${input === 'factor' ? '1.5' : '12'}.`,
  'plain.outOfRange': ({ input, least, most, path, got }) => {
    const bounds = `between ${boundText(least, input, Math.ceil)} and ${boundText(most, input, Math.floor)}`;
    if (path === undefined || got === undefined) return `This must be ${bounds}. Change the number.`;
    return `The ${plainWord(path)} comes out as ${input === 'angle' ? degrees(got) : plainText(got)}: it must be ${bounds}. Change the sizes it comes from, or type a number.`;
  },
  'plain.notWhole': ({ got }) =>
    `This comes out as ${plainText(got)}, and a whole number is needed. Change the formula, or type a number.`,
};

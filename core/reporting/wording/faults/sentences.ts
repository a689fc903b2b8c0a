import type { NamedLength } from '@core/foundations/fault';

import { mm } from '../amounts';
import { lengthWords } from '../lengthNames';

/** A sentence for each code of some faults. */
export type Sentences<F extends { code: string }> = {
  [C in F['code']]: (fault: Extract<F, { code: C }>) => string;
};

/** `bore B (6.25 mm)`, or `bore (6.25 mm)` when it has no tag. */
export const named = ({ what, tag, mm: length }: NamedLength) =>
  `${lengthWords(what)}${tag ? ` ${tag}` : ''} (${mm(length)})`;
export const quoted = (text: string) => `“${text.length > 40 ? `${text.slice(0, 40)}…` : text}”`;

/** What kind of number it is, with its article. */
export const QUANTITY_WORDS: Record<string, string> = {
  length: 'a length',
  angle: 'an angle',
  count: 'a count',
};

import type { Quantity } from '@core/foundations/quantity';

/** Rows of the pad; the last one is filled up with a unit and what is done with the number. */
export const KEY_ROWS = [
  ['7', '8', '9', 'back'],
  ['4', '5', '6', '/'],
  ['1', '2', '3', '-'],
  ['0', '.'],
] as const;
/** For sums and fractions, above the rest. */
export const SUM_KEYS = ['/2', '+', '*', '(', ')', 'space'] as const;
export type UnitKey = 'in' | 'cm' | 'mm' | '°';
export type Key = (typeof KEY_ROWS)[number][number] | (typeof SUM_KEYS)[number] | UnitKey;

/** What a number on the pad is: a size's kind of number, or one without a unit. */
export type PadQuantity = Quantity | 'plain';

/** Units by what is typed: the one beside the figures, and those above. */
export const UNIT_KEYS: Record<PadQuantity, { main: UnitKey | null; more: readonly UnitKey[] }> = {
  length: { main: 'in', more: ['cm', 'mm'] },
  angle: { main: '°', more: [] },
  count: { main: null, more: [] },
  plain: { main: null, more: [] },
};

export const SHOWN: Partial<Record<Key, string>> = { '/': '÷', '-': '−', '*': '×', '/2': '÷ 2' };
export const SPOKEN: Partial<Record<Key, string>> = {
  back: 'Delete',
  in: 'inch',
  '°': 'degrees',
  '/': 'over, for fractions',
  '/2': 'halve',
  '-': 'minus',
  '+': 'plus',
  '*': 'times',
  '(': 'open bracket',
  ')': 'close bracket',
  '.': 'point',
  space: 'space',
};

const isUnit = (key: Key): key is UnitKey => ['in', 'cm', 'mm', '°'].includes(key);
const UNIT_AT_END = /\s*(in|cm|mm|°)\s*$/;

/** Whether a unit stands at the end of what is typed. */
export const hasUnitAtEnd = (text: string): boolean => UNIT_AT_END.test(text) || /["″”°]\s*$/.test(text);

/** A text with what of it is chosen, from one place to another: the same place where nothing is. */
export interface Typed {
  text: string;
  from: number;
  to: number;
}

/** What stands there after a key, and where the next one goes. */
export function typedAfter({ text, from, to }: Typed, key: Key): Typed {
  if (key === 'back') {
    const start = from === to ? Math.max(0, from - 1) : from;
    return at(text.slice(0, start) + text.slice(to), start);
  }
  // Units take the place of one that is there already, and go when tapped again.
  if (isUnit(key)) {
    const there = UNIT_AT_END.exec(text)?.[1];
    const bare = text.replace(UNIT_AT_END, '');
    const next = there === key || bare === '' ? bare : `${bare}${key === '°' ? '' : ' '}${key}`;
    return at(next, next.length);
  }
  return withInserted({ text, from, to }, key === 'space' ? ' ' : key);
}

/** What stands there with words put in: a size's tag, or what calipers type. */
export function withInserted({ text, from, to }: Typed, words: string): Typed {
  return at(text.slice(0, from) + words + text.slice(to), from + words.length);
}

const at = (text: string, caret: number): Typed => ({ text, from: caret, to: caret });

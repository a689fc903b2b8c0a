import { ownValue } from '@core/foundations/own';

/** A millionth of a tenth of a degree: 45° is 450 tenths, and not a hair more or less. */
const SAME_TENTH = 1e-6;

/** A number without a unit, to six figures. */
export const plainText = (number: number): string => String(Number(number.toPrecision(6))).replace('-', '−');

/** A bound as it may be typed: an angle in tenths of a degree, rounded to the side that is still allowed. */
export function boundText(
  bound: number,
  input: 'angle' | 'count' | 'factor',
  towards: (number: number) => number,
): string {
  if (input !== 'angle') return plainText(bound);
  const tenths = (bound * 1800) / Math.PI;
  const whole = Math.round(tenths);
  return `${plainText((Math.abs(tenths - whole) < SAME_TENTH ? whole : towards(tenths)) / 10)}°`;
}

const WORDS: Record<string, string> = {
  turn: 'turn',
  tilt: 'tilt',
  angle: 'angle',
  draft: 'draft angle',
  undercut: 'undercut',
  point: 'angle of the point',
  pressure: 'pressure angle',
  shift: 'shift',
  teeth: 'number of teeth',
  count: 'number of times',
  rows: 'number of rows',
  scale: 'scale',
};

/** What the number at a path of a step is called: `outline.teeth`. */
export function plainWord(path: string): string {
  const keys = path.split('.').reverse();
  return keys.flatMap((key) => ownValue(WORDS, key) ?? [])[0] ?? 'number';
}

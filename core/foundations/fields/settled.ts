import type { OutlineShape } from './outline';
import type { TakenNumber } from './plainNumber';

/** Data of a step in which every angle, count and factor stands as a number, wherever it was taken from. */
export type Settled<T> = [Extract<T, number>] extends [never]
  ? SettledParts<T>
  : SettledParts<Exclude<T, TakenNumber>>;
export type SettledParts<T> = T extends readonly unknown[] | object ? { [K in keyof T]: Settled<T[K]> } : T;

export type SettledOutline = Settled<OutlineShape>;

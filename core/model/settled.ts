import type { OutlineShape } from './outline';
import type { TakenNumber } from './plainNumber';
import type { Step, StepKind } from './recipe';

/** Data of a step in which every angle, count and factor stands as a number, wherever it was taken from. */
export type Settled<T> = [Extract<T, number>] extends [never]
  ? SettledParts<T>
  : SettledParts<Exclude<T, TakenNumber>>;
type SettledParts<T> = T extends readonly unknown[] | object ? { [K in keyof T]: Settled<T[K]> } : T;

/** A step as it is built. */
export type SettledStep = SettledParts<Step>;
export type SettledOutline = Settled<OutlineShape>;
export type SettledStepOf<K extends StepKind> = Extract<SettledStep, { kind: K }>;

/** Whether a number comes from a size or a formula. */
export const isTaken = (value: unknown): value is TakenNumber =>
  typeof value === 'object' && value !== null && 'from' in value;

import type { FitClass, FitFeature, Jaw, Step, Value } from '@core/record/model';

/** A number that a starter asks for. */
export interface Ask {
  key: string;
  /** The size's name. */
  name: string;
  /** A usual number, mm: the part can be seen before anything is measured. */
  usualMm: number;
  jaw: Jaw;
  /** Where it is taken: on the piece, or on what the piece must fit. */
  of: 'piece' | 'counterpart';
  /** The spare does not take it as it is, but with a fit. */
  fit?: { feature: FitFeature; fitClass: FitClass; name: string };
}

/** A body of a starter, its numbers standing for asks. */
export interface StarterBody {
  key: string;
  name: string;
  role: 'spare' | 'counterpart';
  steps(on: Numbers): Step[];
}

/** Turns keys of asks into values for steps. */
export interface Numbers {
  /** The size of an ask. */
  size(key: string): Value;
  /** The working size of an ask with a fit. */
  fit(key: string): Value;
  /** A formula over asks: `{across} / 2 + 3`. */
  sum(text: string): Value;
  /** The id of another body of the starter. */
  body(key: string): string;
}

/** A whole recipe for a common spare, to be changed like any other. */
export interface Starter {
  id: string;
  name: string;
  /** What it is for, in a few words. */
  what: string;
  asks: readonly Ask[];
  bodies: readonly StarterBody[];
}

const asks =
  (jaw: Jaw, of: Ask['of']) =>
  (key: string, name: string, usualMm: number, fit?: Ask['fit']): Ask =>
    fit ? { key, name, usualMm, jaw, of, fit } : { key, name, usualMm, jaw, of };

/** Asked of the piece, by the jaws it is taken with. */
export const outside = asks('outside', 'piece');
export const inside = asks('inside', 'piece');
export const deep = asks('depth', 'piece');
export const stepped = asks('step', 'piece');
/** Asked of what the piece must fit. */
export const onMate = asks('outside', 'counterpart');
export const inMate = asks('inside', 'counterpart');

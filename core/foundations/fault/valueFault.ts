import type { NamedLength } from './namedLength';

/** What can be wrong with where a number of a step comes from. `what`: a LengthName, a formula, or a word for what is no length. */
export type ValueFault =
  | { code: 'value.sizeNotTaken'; what: string; tag: string; name: string }
  | { code: 'value.sizeGone'; what: string }
  | { code: 'value.fitGone'; what: string }
  | { code: 'value.layoutGone'; what: string }
  | { code: 'value.pointNotPlaced'; what: string; point: string; layout: string }
  | { code: 'value.outOfRange'; length: NamedLength; minMm: number; maxMm: number };

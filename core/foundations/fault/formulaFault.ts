/** What a part of a formula measures, as its dimension tells. */
export type Dimensioned = 'plainNumber' | 'length' | 'area' | 'volume' | 'angle' | 'neither';

/** What can be wrong with a formula or a typed sum. */
export type FormulaFault =
  | { code: 'formula.empty' }
  | { code: 'formula.tooLong'; limit: number }
  | { code: 'formula.notRead'; text: string }
  | { code: 'formula.exponent'; text: string }
  | { code: 'formula.unknownWord'; word: string }
  | { code: 'formula.unknownSize'; tag: string }
  | { code: 'formula.fitInSize'; name: string }
  | { code: 'formula.noFit'; name: string; tag: string }
  | { code: 'formula.severalFits'; tag: string; choices: string }
  | { code: 'formula.mixedUnits'; left: Dimensioned; right: Dimensioned }
  | { code: 'formula.powerNotPlain' }
  | { code: 'formula.wrongResult'; got: Dimensioned; wanted: 'length' | 'angle' | 'count' }
  | { code: 'formula.divisionByZero'; text: string }
  | { code: 'formula.notReal'; text: string }
  /** Tags in the order of the circle; the last one leads back to the first. */
  | { code: 'formula.cycle'; tags: string[] };

/** What can be wrong with a number or a name that was typed. */
export type TypedFault =
  | { code: 'length.empty' }
  | { code: 'length.notANumber'; text: string }
  | { code: 'length.twoMarks'; text: string }
  /** `readings`: what it may mean, each written so that it can be read in one way only. */
  | { code: 'length.fractionNeedsInch'; text: string; readings: string[] }
  | { code: 'length.twoReadings'; text: string; readings: string[] }
  /** Limits of a drawing, each with its unit; the first of `readings` is their middle, the second the nominal size. */
  | {
      code: 'length.tolerance';
      text: string;
      low: string;
      high: string;
      plusMinus: string;
      readings: string[];
    }
  | { code: 'angle.twoReadings'; text: string; readings: string[] }
  | { code: 'length.zeroDenominator'; text: string }
  | { code: 'length.notPositive'; mm: number }
  | { code: 'length.tooLong'; mm: number; limitMm: number; instrument: string }
  | { code: 'length.tooLarge'; mm: number; limitMm: number }
  | { code: 'angle.notAnAngle'; text: string }
  | { code: 'angle.outOfRange'; text: string }
  | { code: 'count.notACount'; text: string }
  | { code: 'name.empty'; what: string }
  | { code: 'name.taken'; name: string; tag: string }
  | { code: 'name.tooLong'; what: string; length: number; limit: number }
  | { code: 'field.invalid'; path: string; message: string };

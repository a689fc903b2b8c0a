/** What can be wrong with a number of a step that is no length: an angle, a count, a factor. */
export type PlainFault =
  | { code: 'plain.notRead'; text: string; input: 'angle' | 'count' | 'factor' }
  /** Angles in radians. `path` and `got`: of one that was taken from elsewhere, where in its step it stands and what it came to. */
  | {
      code: 'plain.outOfRange';
      input: 'angle' | 'count' | 'factor';
      least: number;
      most: number;
      path?: string;
      got?: number;
    }
  | { code: 'plain.notWhole'; got: number };

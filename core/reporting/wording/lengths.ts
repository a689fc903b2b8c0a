/** Lengths as this person reads them. */
export interface Lengths {
  /** With its unit. */
  length(mm: number): string;
  /** With its sign, without a unit. */
  signed(mm: number): string;
  word: string;
}

import type { LengthName } from './lengthName';

/** A length as it was built with, and where it came from. */
export interface NamedLength {
  what: LengthName;
  /** Letter tag of the size or fit behind it, if there is one. */
  tag: string | null;
  mm: number;
  /** Standard uncertainty of a size that was measured, mm; left out where it is known exactly. */
  standardMm?: number;
}

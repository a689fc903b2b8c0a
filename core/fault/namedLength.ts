/** Where a built number came from, in words a sentence can use. */
export interface NamedLength {
  /** 'bore', 'width', … */
  what: string;
  /** Letter tag of the size or fit behind it, if there is one. */
  tag: string | null;
  mm: number;
}

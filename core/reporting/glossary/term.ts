/** A drawing of a term, in a box of 120 by 72, y down: SVG paths by the pen that draws them. */
export interface TermDrawing {
  /** Filled as material, with an ink edge. */
  solid?: string;
  ink?: string;
  /** Dashed: what is hidden, was before, or is a path of the nozzle. */
  thin?: string;
  /** What the term means. */
  accent?: string;
}

/** A word of the trade or of our own: what it is, and what the code calls it. */
export interface Term {
  word: string;
  /** One sentence. */
  says: string;
  /** Names in the code; null where it has none. */
  code: string | null;
  /** Of every word of the trade; our own words need none. */
  drawing: TermDrawing | null;
}

/** What can be wrong with a mesh that was scanned or made elsewhere. */
export type FoundFault =
  | { code: 'found.notRead'; name: string }
  /** Put together as no scan is. */
  | { code: 'found.odd'; name: string; oddly: 'blanks' | 'parts' | 'counts' }
  | { code: 'found.noFaces'; name: string }
  | { code: 'found.tooMany'; name: string; count: number; limit: number }
  | { code: 'found.tooBig'; name: string; bytes: number; limitBytes: number }
  | { code: 'found.notAlike'; name: string }
  /** Places that were pointed at, counted from 1, are not as far apart on both, mm. */
  | { code: 'found.placesApart'; first: number; second: number; foundMm: number; spareMm: number }
  | { code: 'found.placesInLine' }
  /** Left and right are exchanged. */
  | { code: 'found.mirrored'; name: string }
  /** It was moved or taken away since it was chosen. */
  | { code: 'found.gone'; name: string }
  | { code: 'found.noSpare' };

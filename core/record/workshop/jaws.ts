import type { Instrument, Jaw } from '@core/record/model';

/** Width of the flats that the knife edges of inside jaws are ground to, mm; as they are found on calipers in use. */
const EDGE_FLAT_MM = 0.5;
/** What a depth rod or the step faces add to the error of a caliper, plus or minus, mm: the 20 µm that DIN 862 allows rods more. */
const SHORT_FACE_MM = 0.02;

/**
 * How far off a caliper's jaws may be beside its scale, plus or minus, mm; nothing for what has no such jaws.
 * Inside a round hole both edges stand on a chord as wide as their flats, so that it reads d − √(d² − b²) small: 0.042 at 3 mm, 0.013
 * at 10. Between two flat walls they read true, which is why nothing is added to the reading: nobody has said which it is.
 */
export function jawError({ kind, quantity }: Instrument, jaw: Jaw, readingMm: number): number {
  if (kind !== 'caliper' || quantity !== 'length') return 0;
  switch (jaw) {
    case 'outside':
      return 0;
    case 'inside':
      return Math.hypot(readingMm, EDGE_FLAT_MM) - readingMm;
    case 'depth':
    case 'step':
      return SHORT_FACE_MM;
  }
}

import type { FoundFault } from '@core/foundations/fault';

import { mm } from '../amounts';
import { type Sentences } from './sentences';

const ODD_WORDS = {
  blanks: 'it has long stretches of nothing but blanks',
  parts: 'it is made of thousands of parts',
  counts: 'its header and its content do not agree',
} as const;

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const FOUND: Sentences<FoundFault> = {
  'found.notRead': ({ name }) =>
    `${name} can’t be read as STL, 3MF, OBJ or PLY. Save the scan again in one of these, or choose another file.`,
  'found.odd': ({ name, oddly }) =>
    `${name} is not built like a scan: ${ODD_WORDS[oddly]}. Save it again in the scanning program, as binary STL.`,
  'found.noFaces': ({ name }) =>
    `${name} contains points but no faces. Convert it to a mesh in the scanning program, then save it.`,
  'found.tooMany': ({ name, count, limit }) =>
    `${name} has ${count} triangles; up to ${limit} can be compared. Reduce them in the scanning program, then save again.`,
  'found.tooBig': ({ name, bytes, limitBytes }) =>
    `${name} has ${Math.ceil(bytes / 1048576)} MB; up to ${limitBytes / 1048576} MB can be read. Reduce its triangles in the scanning program, then save again.`,
  'found.notAlike': ({ name }) =>
    `${name} can’t be aligned with the spare: less than half of it comes near in any position. Check its unit, and that it is this piece.`,
  'found.placesApart': ({ first, second, foundMm, spareMm }) =>
    `Places ${first} and ${second} are ${mm(foundMm)} apart on the scanned piece and ${mm(spareMm)} on the spare. Point at the same places on both.`,
  'found.placesInLine': () => 'The three places are almost in a line. Choose one further from that line.',
  'found.mirrored': ({ name }) =>
    `${name} is the mirror image of this spare: left and right are swapped. Scan the right piece, or mirror the spare.`,
  'found.gone': ({ name }) => `${name} can’t be read from this device. Choose it again, or a copy of it.`,
  'found.noSpare': () =>
    'The spare can’t be built: it is missing, or one of its steps fails. Fix it, then compare again.',
};

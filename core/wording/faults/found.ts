import type { FoundFault } from '@core/fault';

import { mm, type Sentences } from './sentences';

const ODD_WORDS = {
  blanks: 'it has long stretches of nothing but blanks',
  parts: 'it is made of thousands of parts',
  counts: 'what it says of itself and what is in it do not agree',
} as const;

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const FOUND: Sentences<FoundFault> = {
  'found.notRead': ({ name }) =>
    `${name} can’t be read as STL, 3MF, OBJ or PLY. Save the scan again in one of these, or choose another file.`,
  'found.odd': ({ name, oddly }) =>
    `${name} is put together as no scan is: ${ODD_WORDS[oddly]}. Let the program that scanned it save it again, as binary STL.`,
  'found.noFaces': ({ name }) =>
    `${name} contains points but no faces. Convert it to a mesh in the scanning program, then save it.`,
  'found.tooMany': ({ name, count, limit }) =>
    `${name} has ${count} triangles; up to ${limit} can be compared. Let the program that scanned it make them fewer, and save that.`,
  'found.tooBig': ({ name, bytes, limitBytes }) =>
    `${name} has ${Math.ceil(bytes / 1048576)} MB; up to ${limitBytes / 1048576} MB can be read. Let the program that scanned it make its triangles fewer, and save that.`,
  'found.notAlike': ({ name }) =>
    `${name} can’t be laid over the spare: nowhere does even half of it come near. Check its unit, or whether it is this piece at all.`,
  'found.placesApart': ({ first, second, foundMm, spareMm }) =>
    `Places ${first} and ${second} are ${mm(foundMm)} apart on the scanned piece and ${mm(spareMm)} on the spare. Point at the same places on both.`,
  'found.placesInLine': () => 'The three places lie almost in a line. Choose one further off that line.',
  'found.mirrored': ({ name }) =>
    `${name} is the mirror image of this spare: left and right are swapped. Scan the right piece, or mirror the spare.`,
  'found.gone': ({ name }) => `${name} can’t be read from this device. Choose it again, or a copy of it.`,
  'found.noSpare': () =>
    'The spare can’t be built: it is not there, or a step of it fails. Mend it, then compare again.',
};

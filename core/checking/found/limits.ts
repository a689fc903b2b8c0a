import { MOST_TRIANGLES } from './foundMesh';

/** A file holds more triangles than are read; thrown by readers. */
export class TooManyTriangles extends Error {
  override name = 'TooManyTriangles';
  constructor(readonly count: number) {
    super(`${count} triangles`);
  }
}

/** A file is not built like a scan: by what; thrown by readers. */
export class OddFile extends Error {
  override name = 'OddFile';
  constructor(readonly what: 'blanks' | 'parts' | 'counts') {
    super(what);
  }
}

/** Corners that so many triangles have at most. */
const MOST_CORNERS = 3 * MOST_TRIANGLES;
/** Objects, groups and components of a file, each counted as often as it is laid. */
export const MOST_PARTS = 5000;
/** Blanks after each other in a text: readers try every way to share longer ones among the numbers beside them. */
const MOST_BLANKS = 40;

/** Refuses more triangles than are read, told before they are. */
export function mostTriangles(count: number): void {
  if (count > MOST_TRIANGLES) throw new TooManyTriangles(count);
}

export function mostCorners(count: number): void {
  if (count > MOST_CORNERS) throw new TooManyTriangles(Math.ceil(count / 3));
}

export function mostParts(count: number): void {
  if (count > MOST_PARTS) throw new OddFile('parts');
}

/** Refuses long runs of blanks. */
export function fewBlanks(bytes: Uint8Array): void {
  let run = 0;
  for (let at = 0; at < bytes.length; at += 1) {
    // Space, tab, line ends.
    const byte = bytes[at]!;
    run = byte === 32 || (byte >= 9 && byte <= 13) ? run + 1 : 0;
    if (run > MOST_BLANKS) throw new OddFile('blanks');
  }
}

/** How often words stand in a text. */
export function countOf(text: string, words: string): number {
  let count = 0;
  for (let at = text.indexOf(words); at >= 0; at = text.indexOf(words, at + words.length)) count += 1;
  return count;
}

/** Words of the format that may stand in names. */
const IN_NAMES = 100;

/** Looks over a text STL before it is read: every facet and solid that is begun ends, and they are not too many. */
export function lookOverTextStl(bytes: Uint8Array): void {
  fewBlanks(bytes);
  const text = new TextDecoder().decode(bytes);
  const ends = countOf(text, 'endfacet');
  mostTriangles(ends);
  // Each end has the beginning's word in it; names may have it too.
  if (countOf(text, 'facet') > 2 * ends + IN_NAMES) throw new OddFile('counts');
  mostParts(countOf(text, 'solid'));
  if (!text.includes('endsolid')) throw new OddFile('counts');
}

/** Looks over an OBJ before it is read. */
export function lookOverObj(text: string): void {
  let [faces, corners, groups, from] = [0, 0, 0, 0];
  while (from <= text.length) {
    const end = text.indexOf('\n', from);
    const line = text.slice(from, end < 0 ? undefined : end).trimStart();
    if (/^v\s/.test(line)) corners += 1;
    else if (/^[gos]\s|^usemtl\s/.test(line)) groups += 1;
    // A face of n corners is n − 2 triangles.
    else if (/^f\s/.test(line)) faces += Math.max(1, line.trim().split(/\s+/).length - 3);
    mostCorners(corners);
    mostTriangles(faces);
    mostParts(groups);
    if (end < 0) return;
    from = end + 1;
  }
}

/** Bytes in which a PLY’s head has to end. */
const PLY_HEAD_BYTES = 64 * 1024;

/** Looks over the head of a PLY: what it says that follows has to have room in the file, an item a byte at least. */
export function lookOverPly(bytes: Uint8Array): void {
  const head = new TextDecoder().decode(bytes.subarray(0, PLY_HEAD_BYTES));
  if (!/^end_header\s/m.test(head)) throw new OddFile('counts');
  let all = 0;
  for (const [, what, number] of head.matchAll(/^element\s+(\S+)\s+(\S+)/gm)) {
    const count = Number(number);
    if (!Number.isInteger(count) || count < 0) throw new OddFile('counts');
    if (what === 'vertex') mostCorners(count);
    if (what === 'face') mostTriangles(count);
    all += count;
  }
  if (all > bytes.length) throw new OddFile('counts');
}

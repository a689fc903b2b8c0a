/** Markers of a JPEG that carry the picture itself, and the plain JFIF head; everything else is about it, or hidden in it. */
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const JFIF = 0xe0;
/** Baseline and progressive frames, tables of quantisation and of codes, restart intervals. */
const PICTURE_MARKERS = new Set([0xc0, 0xc1, 0xc2, 0xc4, 0xdb, 0xdd]);

/**
 * Whether a file is a JPEG with nothing in it but the picture: no data of the camera's, no comment, nothing after its
 * end (ISO/IEC 10918-1, Annex B). Such a file can be kept as it is, and loses nothing by being written anew.
 */
export function isPlainJpeg(bytes: Uint8Array): boolean {
  if (bytes[0] !== 0xff || bytes[1] !== START) return false;
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return false;
    const marker = bytes[at + 1]!;
    const length = bytes[at + 2]! * 256 + bytes[at + 3]!;
    if (length < 2 || at + 2 + length > bytes.length) return false;
    if (marker === JFIF) {
      // The plain head has 16 bytes; a longer one holds a small picture of its own.
      if (at !== 2 || length !== 16) return false;
    } else if (marker !== SCAN && !PICTURE_MARKERS.has(marker)) {
      return false;
    }
    at += 2 + length;
    if (marker !== SCAN) continue;
    at = endOfScan(bytes, at);
    if (at < 0) return false;
    if (bytes[at + 1] === END) return at + 2 === bytes.length;
  }
  return false;
}

/** Where the marker after the codes of a scan stands, or -1. In the codes a 0xff is followed by 0, or by a restart. */
function endOfScan(bytes: Uint8Array, from: number): number {
  let at = from;
  for (;;) {
    at = bytes.indexOf(0xff, at);
    if (at < 0 || at + 1 >= bytes.length) return -1;
    const next = bytes[at + 1]!;
    if (next !== 0 && (next < 0xd0 || next > 0xd7)) return at;
    at += 2;
  }
}

/** A, B, … Z, AA, AB, …: the tag or revision letter at a place counted from 0. */
export function letterAt(index: number): string {
  const last = String.fromCharCode(65 + (index % 26));
  return index < 26 ? last : letterAt(Math.floor(index / 26) - 1) + last;
}

/** The first letter nobody has taken. */
export function nextLetter(taken: Iterable<string>): string {
  const used = new Set(taken);
  let index = 0;
  while (used.has(letterAt(index))) index += 1;
  return letterAt(index);
}

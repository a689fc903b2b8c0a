/** A move along a part of a circle: from one place to another, mm, by an angle in radians, anticlockwise above zero; straight at zero. */
export interface Arc {
  from: readonly [number, number];
  to: readonly [number, number];
  sweep: number;
}

/** How long it is, mm: chord × half the angle over its sine. */
export function arcLength({ from, to, sweep }: Arc): number {
  return chordOf({ from, to }) * lengthPerChord(sweep);
}

/** How many times longer than its chord an arc by an angle is. */
export const lengthPerChord = (sweep: number): number =>
  sweep === 0 ? 1 : Math.abs(sweep) / 2 / Math.sin(Math.abs(sweep) / 2);

/** mm; endless for a straight one. */
export const arcRadius = (arc: Arc): number =>
  arc.sweep === 0 ? Infinity : chordOf(arc) / 2 / Math.sin(Math.abs(arc.sweep) / 2);

/** The middle of its circle, mm. Of a straight one there is none. */
export function arcCentre({ from, to, sweep }: Arc): [number, number] {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  // To the left of the chord by so much of it.
  const aside = 1 / (2 * Math.tan(sweep / 2));
  return [from[0] + dx / 2 - aside * dy, from[1] + dy / 2 + aside * dx];
}

/** The angle of an arc round a centre from a place to another, radians: a whole turn if they are one place. */
export function sweepAbout(
  centre: readonly [number, number],
  from: readonly [number, number],
  to: readonly [number, number],
  isClockwise: boolean,
): number {
  const angle =
    Math.atan2(to[1] - centre[1], to[0] - centre[0]) - Math.atan2(from[1] - centre[1], from[0] - centre[0]);
  const turn = 2 * Math.PI;
  const anticlockwise = ((angle % turn) + turn) % turn;
  if (anticlockwise < ALMOST_A_TURN || turn - anticlockwise < ALMOST_A_TURN)
    return isClockwise ? -turn : turn;
  return isClockwise ? anticlockwise - turn : anticlockwise;
}

/** Files have ten-thousandths of a millimetre: a turn that is short by less than this is a whole one, radians. */
const ALMOST_A_TURN = 1e-7;

/**
 * The centre of an arc that is given by its radius, mm (RS-274, NIST IR 6556): below zero it is the longer of both ways round. Null where the ends are one
 * place or further apart than the circle is wide.
 */
export function arcCentreByRadius(
  from: readonly [number, number],
  to: readonly [number, number],
  radius: number,
  isClockwise: boolean,
): [number, number] | null {
  const chord = chordOf({ from, to });
  const square = radius ** 2 - (chord / 2) ** 2;
  if (chord === 0 || square < 0) return null;
  // The shorter way clockwise has its centre to the right of its chord.
  const aside = (Math.sqrt(square) / chord) * (isClockwise === radius > 0 ? -1 : 1);
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  return [from[0] + dx / 2 - aside * dy, from[1] + dy / 2 + aside * dx];
}

/** Where an arc comes furthest along an axis between its ends, mm. */
export function furthestOf(
  centre: readonly [number, number],
  from: readonly [number, number] | readonly [number, number, number],
  sweep: number,
): ['X' | 'Y', number][] {
  const [x, y] = [from[0] - centre[0], from[1] - centre[1]];
  const [radius, begin] = [Math.hypot(x, y), Math.atan2(y, x)];
  const found: ['X' | 'Y', number][] = [];
  // Quarters that lie within the angle: four at most, and their first one again.
  const [low, high] = [Math.min(begin, begin + sweep), Math.max(begin, begin + sweep)];
  for (let quarter = Math.ceil(low / (Math.PI / 2)); quarter * (Math.PI / 2) <= high; quarter += 1) {
    const isAlongX = quarter % 2 === 0;
    const sign = [1, 1, -1, -1][((quarter % 4) + 4) % 4]!;
    found.push(isAlongX ? ['X', centre[0] + sign * radius] : ['Y', centre[1] + sign * radius]);
  }
  return found;
}

/** How many chords of an arc stay within a distance of it. */
export function chordsFor(radius: number, sweep: number, withinMm: number): number {
  if (sweep === 0) return 1;
  const step = 2 * Math.acos(1 - withinMm / Math.max(radius, withinMm));
  return Math.max(1, Math.ceil(Math.abs(sweep) / Math.max(step, FINEST_CHORD)));
}

/** However large the circle is, radians. */
const FINEST_CHORD = 1e-3;

/**
 * Places along an arc about a centre after its first, its last among them, whose chords stay within a distance of it, mm.
 */
export function placesAlong(
  centre: readonly [number, number],
  { from, to, sweep }: Arc,
  withinMm: number,
): [number, number][] {
  const [x, y] = [from[0] - centre[0], from[1] - centre[1]];
  const count = chordsFor(Math.hypot(x, y), sweep, withinMm);
  return Array.from({ length: count }, (_, at): [number, number] => {
    if (at === count - 1) return [to[0], to[1]];
    const [cos, sin] = [Math.cos((sweep * (at + 1)) / count), Math.sin((sweep * (at + 1)) / count)];
    return [centre[0] + cos * x - sin * y, centre[1] + sin * x + cos * y];
  });
}

/** How far its ends are apart, mm. */
const chordOf = ({ from, to }: Omit<Arc, 'sweep'>) => Math.hypot(to[0] - from[0], to[1] - from[1]);

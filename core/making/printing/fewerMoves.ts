import type { LayerPath, PathKind } from '@core/making/slice';

/** How far a place of a line may come to lie from where it was, mm: outlines stay within 0.01 of the part; what is inside may wander more. */
const WITHIN_MM: Record<PathKind, number> = {
  outerWall: 0.004,
  innerWall: 0.008,
  thinWall: 0.008,
  gap: 0.02,
  skin: 0.008,
  bridge: 0.008,
  fill: 0.06,
  support: 0.05,
  supportFace: 0.02,
  foot: 0.02,
};
/** Between its places a line is straight, be it that of something round: there an arc may leave it by this, mm. */
const BETWEEN_MM = 0.009;
/** A width that is off by this much counts as a place that is off by a fifth of it. */
const PER_BREADTH = 0.2;
/** Places nearer to each other than this are one in a file, mm. */
const NO_WAY_MM = 1.5e-3;
/** An arc takes the place of three straight moves at least, and goes round by half a turn at most. */
const FEWEST = 3;
const MOST_SWEEP = Math.PI + 1e-9;
/** Firmware works with single precision, and places are thousandths: larger circles are straight, and so are smaller ones, and those over shorter chords, mm. */
const LARGEST_RADIUS_MM = 1000;
const SMALLEST_RADIUS_MM = 0.1;
const SHORTEST_CHORD_MM = 0.05;
/** A place may lie so far behind the one before it, along an arc, mm. */
const BACK_MM = 1e-3;

/** A move of a line: to which of its points, and by what angle of an arc, radians, anticlockwise above zero; straight at zero. */
export interface NeededMove {
  to: number;
  sweep: number;
}

/**
 * With which moves a line is made: each as long as the places between stay near to it, their width taken as a third coordinate, and an
 * arc where it reaches further than a straight one. Places that are said twice are left out: a printer can't go from a place to itself.
 *
 * @returns moves in order, from the line's first point; of a closed line the last leads back to it, and its `to` is the number of points.
 */
export function neededMoves(path: LayerPath, takesArcs: boolean): NeededMove[] {
  const line = new Line(path);
  const moves: NeededMove[] = [];
  for (let from = 0; from < line.last;) {
    const straight = furthest(from, from + 1, line.last, (to) => line.isStraight(from, to));
    let [to, sweep] = [straight, 0];
    if (takesArcs) {
      const arc = furthest(from, from + FEWEST, line.last, (end) => line.arc(from, end) !== 0);
      if (arc > straight) [to, sweep] = [arc, line.arc(from, arc)];
    }
    moves.push({ to: line.indexOf(to), sweep });
    from = to;
  }
  return moves;
}

/** The furthest place that holds: in doubled steps while it does, then by halves. `from` if not even the first does. */
function furthest(from: number, first: number, last: number, holds: (to: number) => boolean): number {
  if (first > last) return from;
  let [good, bad] = [from, last + 1];
  for (let to = first; ; to = Math.min(last, to + (to - from))) {
    if (!holds(to)) {
      bad = to;
      break;
    }
    good = to;
    if (to === last) return last;
  }
  // One move to the next place always does.
  if (good === from) return first === from + 1 ? first : from;
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2);
    if (holds(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

/** A line without the places that it says twice, its width a third coordinate. */
class Line {
  readonly #x: number[] = [];
  readonly #y: number[] = [];
  readonly #z: number[] = [];
  readonly #index: number[] = [];
  readonly #within: number;

  constructor({ points, width, closed, kind }: LayerPath) {
    const count = points.length / 2;
    this.#within = WITHIN_MM[kind];
    for (let index = 0; index < count + (closed ? 1 : 0); index += 1) {
      const at = index % count;
      const [x, y] = [points[2 * at]!, points[2 * at + 1]!];
      if (index > 0 && Math.hypot(x - this.#x.at(-1)!, y - this.#y.at(-1)!) <= NO_WAY_MM) {
        // What lay between belongs to the move that leads on, and at the end to the last one.
        if (index === count - (closed ? 0 : 1) && this.#index.length > 1)
          this.#index[this.#index.length - 1] = index;
        continue;
      }
      this.#x.push(x);
      this.#y.push(y);
      this.#z.push(typeof width === 'number' ? 0 : PER_BREADTH * width[at]!);
      this.#index.push(index);
    }
  }

  get last(): number {
    return this.#x.length - 1;
  }

  indexOf(at: number): number {
    return this.#index[at]!;
  }

  isStraight(from: number, to: number): boolean {
    const [x, y, z] = [this.#x, this.#y, this.#z];
    const [dx, dy, dz] = [x[to]! - x[from]!, y[to]! - y[from]!, z[to]! - z[from]!];
    if (to > from + 1 && Math.hypot(dx, dy) <= NO_WAY_MM) return false;
    const square = dx * dx + dy * dy + dz * dz;
    for (let at = from + 1; at < to; at += 1) {
      const [px, py, pz] = [x[at]! - x[from]!, y[at]! - y[from]!, z[at]! - z[from]!];
      const share = Math.max(0, Math.min(1, (px * dx + py * dy + pz * dz) / square));
      if (Math.hypot(px - share * dx, py - share * dy, pz - share * dz) > this.#within) return false;
    }
    return true;
  }

  /**
   * The angle of the arc that fits best between two places (least squares of the power of each place to the circle), radians; 0 where none is near to
   * all places between and to the straight lines that join them.
   */
  arc(from: number, to: number): number {
    const [x, y, z] = [this.#x, this.#y, this.#z];
    const [x0, y0] = [x[from]!, y[from]!];
    const chord = Math.hypot(x[to]! - x0, y[to]! - y0);
    if (chord < SHORTEST_CHORD_MM) return 0;
    const [ux, uy] = [(x[to]! - x0) / chord, (y[to]! - y0) / chord];
    let [above, below, aside] = [0, 0, 0];
    for (let at = from + 1; at < to; at += 1) {
      const along = (x[at]! - x0) * ux + (y[at]! - y0) * uy;
      const v = (y[at]! - y0) * ux - (x[at]! - x0) * uy;
      above += v * (along * along - chord * along + v * v);
      below += 2 * v * v;
      aside += v;
    }
    if (below === 0 || aside === 0) return 0;
    // The centre lies over the middle of the chord, this far to its left.
    const left = above / below;
    const radius = Math.hypot(chord / 2, left);
    if (radius > LARGEST_RADIUS_MM || radius < SMALLEST_RADIUS_MM) return 0;
    // What lies to the left of its chord goes round clockwise.
    const side = Math.sign(aside);
    const sweep = -side * 2 * Math.atan2(chord / 2, -side * left);
    if (Math.abs(sweep) > MOST_SWEEP) return 0;
    const [cx, cy] = [x0 + ux * (chord / 2) - uy * left, y0 + uy * (chord / 2) + ux * left];
    const between = Math.max(BETWEEN_MM, this.#within);
    let before = 0;
    for (let at = from + 1; at <= to; at += 1) {
      const [px, py] = [x[at]! - cx, y[at]! - cy];
      const off = Math.hypot(px, py) - radius;
      const [mx, my] = [(x[at]! + x[at - 1]!) / 2 - cx, (y[at]! + y[at - 1]!) / 2 - cy];
      if (Math.abs(Math.hypot(mx, my) - radius) > between) return 0;
      if (at === to) break;
      const angle = turned(x0 - cx, y0 - cy, px, py, Math.sign(sweep));
      const share = angle / Math.abs(sweep);
      const broad = z[at]! - z[from]! - share * (z[to]! - z[from]!);
      if (Math.hypot(off, broad) > this.#within) return 0;
      if (angle < before - BACK_MM / radius || angle > Math.abs(sweep) + BACK_MM / radius) return 0;
      before = angle;
    }
    return sweep;
  }
}

/** By what angle one goes from one direction to another, radians, in a sense of turning (1 or −1); a little backwards counts as below zero. */
function turned(ax: number, ay: number, bx: number, by: number, sense: number): number {
  const angle = sense * Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
  // Half a turn and more comes out below zero, as far from it as it is from a whole one.
  return angle < -Math.PI / 2 ? angle + 2 * Math.PI : angle;
}

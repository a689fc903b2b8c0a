import type { LayerPath, PathKind } from './paths';
import { PER_MM, type Area } from './region';

/** Pieces of lines shorter than this are not laid, mm. */
const SHORTEST_MM = 0.05;

export interface Hatching {
  kind: PathKind;
  /** Which way the lines run, from the x axis, radians. */
  angle: number;
  /** How far apart they are, and how wide each is, mm. */
  spacingMm: number;
  lineMm: number;
}

/**
 * Straight lines over an area, parallel and evenly apart, counted from the origin so that they lie over each other from layer to layer. Each runs
 * along the middle of its strip from edge to edge: strips as wide as they are apart add up to the area. Neighbours that are no farther
 * apart than they are wide are joined at their ends, each shortened by half of the way between them, so that the length stays.
 */
export function hatched(area: Area, { kind, angle, spacingMm, lineMm }: Hatching): LayerPath[] {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const rows = crossings(area, cos, sin, spacingMm);
  const joins = spacingMm <= 1.01 * lineMm;
  const paths: LayerPath[] = [];
  let open: Chain[] = [];
  for (const row of [...rows.keys()].sort((a, b) => a - b)) {
    const across = (row + 0.5) * spacingMm;
    const sides = rows.get(row)!.sort((a, b) => a - b);
    const spans: [number, number][] = [];
    for (let at = 0; at + 1 < sides.length; at += 2) {
      if (sides[at + 1]! - sides[at]! > SHORTEST_MM) spans.push([sides[at]!, sides[at + 1]!]);
    }
    const still: Chain[] = [];
    for (const span of spans) {
      const chain = joins ? open.find((candidate) => candidate.takes(row, span, lineMm)) : undefined;
      const taken = chain ?? new Chain();
      taken.add(row, across, span, chain !== undefined);
      still.push(taken);
      if (!chain) paths.push({ kind, closed: false, points: new Float64Array(), width: lineMm });
      if (!chain) taken.index = paths.length - 1;
    }
    for (const chain of open) if (!still.includes(chain)) finish(paths, chain, cos, sin);
    open = still;
  }
  for (const chain of open) finish(paths, chain, cos, sin);
  return paths;
}

function finish(paths: LayerPath[], { along, index }: Chain, cos: number, sin: number): void {
  const points = new Float64Array(along.length);
  for (let at = 0; at < along.length; at += 2) {
    points[at] = along[at]! * cos - along[at + 1]! * sin;
    points[at + 1] = along[at]! * sin + along[at + 1]! * cos;
  }
  paths[index]!.points = points;
}

/** Lines that are printed in one go, to and fro; in the turned plane, along and across after each other. */
class Chain {
  readonly along: number[] = [];
  index = -1;
  #row = NaN;
  #span: [number, number] = [0, 0];
  /** Whether the last line ran towards larger values. */
  #forward = false;

  /** Whether a piece of the next row can follow: it lies beside the last one, and their ends are near to each other. */
  takes(row: number, [from, to]: [number, number], lineMm: number): boolean {
    const [lastFrom, lastTo] = this.#span;
    if (row !== this.#row + 1 || from >= lastTo || to <= lastFrom) return false;
    const near = this.#forward ? Math.abs(to - lastTo) : Math.abs(from - lastFrom);
    return near <= 1.5 * lineMm && to - from > 3 * lineMm && lastTo - lastFrom > 3 * lineMm;
  }

  add(row: number, across: number, [from, to]: [number, number], joined: boolean): void {
    this.#forward = !this.#forward;
    let back = 0;
    if (joined) {
      // The last line ends, and this one begins, half of the way between them before the edge.
      const last = this.along.length - 2;
      const start = this.#forward ? from : to;
      back = Math.hypot(start - this.along[last]!, across - this.along[last + 1]!) / 2;
      this.along[last]! += this.#forward ? back : -back;
    }
    const [first, end] = this.#forward ? [from + back, to] : [to - back, from];
    this.along.push(first, across, end, across);
    this.#row = row;
    this.#span = [from, to];
  }
}

/** Where each row of lines crosses the edge, along the row, by its number. */
function crossings(area: Area, cos: number, sin: number, spacingMm: number): Map<number, number[]> {
  const rows = new Map<number, number[]>();
  for (const path of area) {
    let last = path[path.length - 1]!;
    for (const point of path) {
      const [ax, ay] = [last.x / PER_MM, last.y / PER_MM];
      const [bx, by] = [point.x / PER_MM, point.y / PER_MM];
      last = point;
      const [fromAlong, fromAcross] = [ax * cos + ay * sin, ay * cos - ax * sin];
      const [toAlong, toAcross] = [bx * cos + by * sin, by * cos - bx * sin];
      const [low, high] = fromAcross < toAcross ? [fromAcross, toAcross] : [toAcross, fromAcross];
      // Rows above the lower end, up to the upper one: a corner on a row counts once.
      const first = Math.floor(low / spacingMm - 0.5) + 1;
      const beyond = Math.floor(high / spacingMm - 0.5);
      for (let row = first; row <= beyond; row += 1) {
        const share = ((row + 0.5) * spacingMm - fromAcross) / (toAcross - fromAcross);
        const at = fromAlong + share * (toAlong - fromAlong);
        const known = rows.get(row);
        if (known) known.push(at);
        else rows.set(row, [at]);
      }
    }
  }
  return rows;
}

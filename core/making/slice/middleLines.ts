import { Delaunay } from 'd3-delaunay';

import { boundsOf, holds, PER_MM, type Area } from './region';

/** A line along the middle of something narrow, mm, as wide at each point as there is room. */
export interface MiddleLine {
  points: Float64Array;
  width: Float32Array;
}

/** How far apart the edge is looked at, mm. */
const STEP_MM = 0.12;

/** Points of the edge whose way along it is less than this times their distance are on the same side: corners of 60° and more end no line. */
const SAME_SIDE = 2;

/**
 * Lines along the middle of a narrow area: the edges of the Voronoi diagram of points on its edge that lie between its two sides (its medial
 * axis, after Blum; approximated as by Brandt & Algazi, "Continuous skeleton computation by Voronoi diagram", 1992). Ends are
 * drawn out to the end of the area. Where it is narrower than `narrowestMm` nothing is printed, and the place is reported.
 */
export function middleLines(
  area: Area,
  { narrowestMm, widestMm }: { narrowestMm: number; widestMm: number },
): { lines: MiddleLine[]; tooThin: { at: [number, number]; widthMm: number }[] } {
  const edge = sampled(area);
  const bounds = boundsOf(area);
  if (edge.count < 4 || !bounds) return { lines: [], tooThin: [] };
  const [left, low, right, high] = bounds;
  const delaunay = new Delaunay(edge.points);
  const { circumcenters, delaunay: mesh } = delaunay.voronoi([left - 1, low - 1, right + 1, high + 1]);
  const { halfedges, triangles } = mesh;
  const nodes = new Nodes(edge.nearest, circumcenters, triangles, area);
  for (let half = 0; half < halfedges.length; half += 1) {
    const twin = halfedges[half]!;
    if (twin < half) continue;
    const from = triangles[half]!;
    const to = triangles[half % 3 === 2 ? half - 2 : half + 1]!;
    if (edge.sameSide(from, to)) continue;
    const [one, other] = [Math.floor(half / 3), Math.floor(twin / 3)];
    if (nodes.isInside(one) && nodes.isInside(other)) nodes.join(one, other);
  }
  const lines: MiddleLine[] = [];
  const tooThin: { at: [number, number]; widthMm: number }[] = [];
  for (const chain of nodes.chains()) {
    const line = nodes.lineOf(chain);
    const broadest = line.width.reduce((most, width) => Math.max(most, width), 0);
    if (broadest < narrowestMm) {
      const at = 2 * Math.floor(line.width.length / 2);
      if (lengthOfLine(line.points) > widestMm) {
        tooThin.push({ at: [line.points[at]!, line.points[at + 1]!], widthMm: broadest });
      }
      continue;
    }
    if (lengthOfLine(line.points) < narrowestMm) continue;
    for (let at = 0; at < line.width.length; at += 1) {
      line.width[at] = Math.min(widestMm, Math.max(narrowestMm, line.width[at]!));
    }
    lines.push(line);
  }
  return { lines, tooThin };
}

/** The middles of the Delaunay triangles, joined where they lie between two sides. */
class Nodes {
  readonly #joined = new Map<number, number[]>();
  readonly #inside = new Map<number, boolean>();

  constructor(
    /** How far a point is from the edge beside one of its samples. */
    private readonly nearest: (x: number, y: number, sample: number) => number,
    private readonly centres: ArrayLike<number>,
    private readonly triangles: ArrayLike<number>,
    private readonly area: Area,
  ) {}

  isInside(node: number): boolean {
    let inside = this.#inside.get(node);
    if (inside === undefined) {
      inside = holds(this.area, this.centres[2 * node]!, this.centres[2 * node + 1]!);
      this.#inside.set(node, inside);
    }
    return inside;
  }

  join(one: number, other: number): void {
    for (const [from, to] of [
      [one, other],
      [other, one],
    ] as const) {
      const known = this.#joined.get(from);
      if (known) known.push(to);
      else this.#joined.set(from, [to]);
    }
  }

  /** Chains of nodes from one end or fork to the next; rings last. */
  *chains(): Generator<number[]> {
    const used = new Set<string>();
    const key = (one: number, other: number) => (one < other ? `${one} ${other}` : `${other} ${one}`);
    const walk = (from: number, first: number): number[] => {
      const chain = [from, first];
      used.add(key(from, first));
      for (let at = first; this.#joined.get(at)!.length === 2;) {
        const next = this.#joined.get(at)!.find((node) => !used.has(key(at, node)));
        if (next === undefined) break;
        used.add(key(at, next));
        chain.push(next);
        at = next;
      }
      return chain;
    };
    const ends = [...this.#joined].filter(([, others]) => others.length !== 2);
    for (const [node, others] of [...ends, ...this.#joined]) {
      for (const other of others) if (!used.has(key(node, other))) yield walk(node, other);
    }
  }

  lineOf(chain: readonly number[]): MiddleLine {
    const points: number[] = [];
    const width: number[] = [];
    const radius = (node: number) =>
      Math.min(
        ...[0, 1, 2].map((corner) =>
          this.nearest(
            this.centres[2 * node]!,
            this.centres[2 * node + 1]!,
            this.triangles[3 * node + corner]!,
          ),
        ),
      );
    for (const node of chain) {
      points.push(this.centres[2 * node]!, this.centres[2 * node + 1]!);
      width.push(2 * radius(node));
    }
    const isEnd = (node: number) => this.#joined.get(node)!.length === 1;
    const [first, second] = [chain[0]!, chain[1]!];
    const [last, before] = [chain.at(-1)!, chain.at(-2)!];
    const beyond = (end: number, from: number): [number, number] => {
      const [ex, ey] = [this.centres[2 * end]!, this.centres[2 * end + 1]!];
      const [dx, dy] = [ex - this.centres[2 * from]!, ey - this.centres[2 * from + 1]!];
      const length = Math.hypot(dx, dy) || 1;
      const by = radius(end) / length;
      return [ex + dx * by, ey + dy * by];
    };
    if (isEnd(last)) {
      points.push(...beyond(last, before));
      width.push(2 * radius(last));
    }
    if (isEnd(first)) {
      points.unshift(...beyond(first, second));
      width.unshift(2 * radius(first));
    }
    return { points: new Float64Array(points), width: new Float32Array(width) };
  }
}

/** Points along the edge of an area, no farther apart than a step. */
function sampled(area: Area) {
  const points: number[] = [];
  const loopOf: number[] = [];
  const along: number[] = [];
  const around: number[] = [];
  const firsts = [0];
  for (const [loop, path] of area.entries()) {
    let way = 0;
    path.forEach((from, index) => {
      const to = path[(index + 1) % path.length]!;
      const [dx, dy] = [(to.x - from.x) / PER_MM, (to.y - from.y) / PER_MM];
      const length = Math.hypot(dx, dy);
      const parts = Math.max(1, Math.ceil(length / STEP_MM));
      for (let part = 0; part < parts; part += 1) {
        points.push(from.x / PER_MM + (dx * part) / parts, from.y / PER_MM + (dy * part) / parts);
        loopOf.push(loop);
        along.push(way + (length * part) / parts);
      }
      way += length;
    });
    around.push(way);
    firsts.push(loopOf.length);
  }
  const flat = new Float64Array(points);
  return {
    points: flat,
    count: loopOf.length,
    nearest(x: number, y: number, sample: number): number {
      const loop = loopOf[sample]!;
      const [first, beyond] = [firsts[loop]!, firsts[loop + 1]!];
      const before = sample === first ? beyond - 1 : sample - 1;
      const after = sample === beyond - 1 ? first : sample + 1;
      return Math.min(toSegment(flat, before, sample, x, y), toSegment(flat, sample, after, x, y));
    },
    sameSide(one: number, other: number): boolean {
      const loop = loopOf[one]!;
      if (loop !== loopOf[other]) return false;
      const apart = Math.abs(along[one]! - along[other]!);
      const way = Math.min(apart, around[loop]! - apart);
      const distance = Math.hypot(
        flat[2 * one]! - flat[2 * other]!,
        flat[2 * one + 1]! - flat[2 * other + 1]!,
      );
      return way < SAME_SIDE * distance;
    },
  };
}

/** How far a point is from the segment between two others of a flat list. */
function toSegment(points: Float64Array, from: number, to: number, x: number, y: number): number {
  const [ax, ay] = [points[2 * from]!, points[2 * from + 1]!];
  const [dx, dy] = [points[2 * to]! - ax, points[2 * to + 1]! - ay];
  const square = dx * dx + dy * dy;
  const share = square === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / square));
  return Math.hypot(x - ax - share * dx, y - ay - share * dy);
}

function lengthOfLine(points: Float64Array): number {
  let length = 0;
  for (let at = 2; at < points.length; at += 2) {
    length += Math.hypot(points[at]! - points[at - 2]!, points[at + 1]! - points[at - 1]!);
  }
  return length;
}

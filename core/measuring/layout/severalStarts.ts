import jstat from 'jstat';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

import type { Layout } from '@core/record/model';
import { adjust, type Adjustment } from '@core/measuring/adjustment';

import { equationsOf, type Frame } from './frame';
import type { Observation } from './observations';
import { scaledSketch, startingValues, valuesAt, type Position } from './start';

/** Residuals that come by chance less often than this are worth a look from elsewhere before a distance is accused. */
const DOUBTED = 0.01;
/** A start from elsewhere is better if its sum of squares is smaller by more than this: more than rounding. */
const BETTER_BY = 1e-3;
/** Points tried on their other sides at a time, those that disagree most first; and how often that is gone through. */
const [FLIPPED_POINTS, FLIP_ROUNDS] = [6, 6];
/** Pairs of neighbours that a point is laid over for each. */
const FLIP_PAIRS = 4;
/** Starts from shaken sketches; the larger the layout, the fewer, so that it stays quick. */
const shakenStarts = (points: number) => Math.min(12, Math.ceil(240 / Math.max(1, points)));
const SEED = 20261;

/**
 * The adjustment of a layout, from several starts where the first one does not agree with itself. A rough sketch can put a
 * point on the wrong side of its neighbours: then good distances disagree, and one of them would be accused. The
 * start that leaves the smallest sum of squares is taken; among equals the first, which keeps to the sketch.
 */
export function adjustFromSeveral(
  layout: Layout,
  observations: readonly Observation[],
  frame: Frame,
): Adjustment {
  const equations = equationsOf(observations, frame);
  let best = adjust(equations, frame.held, startingValues(layout, observations, frame));
  const consider = (start: Float64Array) => {
    const other = adjust(equations, frame.held, start);
    const isBetter = other.loose.length === 0 && other.squareSum < best.squareSum - BETTER_BY;
    if (isBetter) best = other;
    return isBetter;
  };
  const sketch = scaledSketch(layout, observations, frame);
  const wholeSketch = () => valuesAt(layout, frame, sketch);
  if (doubted(best, observations)) consider(wholeSketch());
  for (let round = 0; round < FLIP_ROUNDS && doubted(best, observations); round += 1) {
    const flipped = otherSides(layout, observations, frame, best).some(consider);
    if (!flipped) break;
  }
  const { uniform, reach } = shaking(sketch);
  for (let count = shakenStarts(layout.points.length); count > 0 && doubted(best, observations); count -= 1) {
    const shaken = new Map(
      [...sketch].map(([id, { x, y }]) => [
        id,
        { x: x + reach * (uniform() - 0.5), y: y + reach * (uniform() - 0.5) },
      ]),
    );
    consider(valuesAt(layout, frame, shaken));
  }
  return best;
}

/** Whether it is whole, has distances to spare, and these disagree more than by chance. */
function doubted(
  { loose, free, squareSum, converged }: Adjustment,
  observations: readonly Observation[],
): boolean {
  const redundancy = observations.length - free.length;
  if (loose.length > 0 || redundancy <= 0) return false;
  return !converged || 1 - jstat.chisquare.cdf(squareSum, redundancy) < DOUBTED;
}

/** Starts with one point laid over the line through two of its neighbours, the points that disagree most first. */
function otherSides(
  layout: Layout,
  observations: readonly Observation[],
  frame: Frame,
  { values, residualsMm }: Adjustment,
): Float64Array[] {
  const strain = new Map<string, number>();
  const neighbours = new Map<string, string[]>();
  for (const [index, { from, to, standardMm }] of observations.entries()) {
    const share = (residualsMm[index]! / standardMm) ** 2;
    for (const end of [from, to]) {
      if ('point' in end) strain.set(end.point, (strain.get(end.point) ?? 0) + share);
    }
    if (!('point' in from) || !('point' in to)) continue;
    neighbours.set(from.point, [...(neighbours.get(from.point) ?? []), to.point]);
    neighbours.set(to.point, [...(neighbours.get(to.point) ?? []), from.point]);
  }
  const worst = layout.points
    .map(({ id }) => id)
    .sort((a, b) => (strain.get(b) ?? 0) - (strain.get(a) ?? 0))
    .slice(0, FLIPPED_POINTS);
  const at = (id: string): Position => ({ x: values[frame.xOf(id)]!, y: values[frame.yOf(id)]! });
  return worst.flatMap((id) =>
    pairsOf(neighbours.get(id) ?? [], at).map(([a, b]) => {
      const start = Float64Array.from(values);
      const { x, y } = mirroredOver(at(id), at(a), at(b));
      start[frame.xOf(id)] = x;
      start[frame.yOf(id)] = y;
      for (const index of frame.held) start[index] = values[index]!;
      return start;
    }),
  );
}

/** Pairs of a point's neighbours, those furthest apart first. */
function pairsOf(ids: readonly string[], at: (id: string) => Position): [string, string][] {
  const pairs: { pair: [string, string]; apart: number }[] = [];
  for (const [index, a] of ids.entries()) {
    for (const b of ids.slice(index + 1)) {
      const [pa, pb] = [at(a), at(b)];
      pairs.push({ pair: [a, b], apart: Math.hypot(pa.x - pb.x, pa.y - pb.y) });
    }
  }
  pairs.sort((one, other) => other.apart - one.apart);
  return pairs.slice(0, FLIP_PAIRS).map(({ pair }) => pair);
}

function mirroredOver(p: Position, a: Position, b: Position): Position {
  const base = Math.hypot(b.x - a.x, b.y - a.y);
  if (base === 0) return p;
  const [nx, ny] = [-(b.y - a.y) / base, (b.x - a.x) / base];
  const off = (p.x - a.x) * nx + (p.y - a.y) * ny;
  return { x: p.x - 2 * off * nx, y: p.y - 2 * off * ny };
}

/** Even numbers from a fixed seed, so that a layout always comes out alike, and how far points are shaken, mm. */
function shaking(sketch: ReadonlyMap<string, Position>) {
  const generator = xoroshiro128plus(SEED);
  const places = [...sketch.values()];
  const spread = (axis: 'x' | 'y') => {
    const along = places.map((place) => place[axis]);
    return Math.max(...along) - Math.min(...along);
  };
  return {
    uniform: () => uniformFloat64(generator),
    reach: places.length > 0 ? Math.max(spread('x'), spread('y')) / 2 : 0,
  };
}

import { Matrix, solve } from 'ml-matrix';

/** A point of any number of coordinates, mm. */
type Place = readonly number[];

/**
 * A smooth line through points: cubic from each to the next, with its slope and its curvature continuous (de Boor, A
 * Practical Guide to Splines, IV). Its parameter is the length of the chords, or 0, 1, 2 and on.
 */
export interface SmoothLine {
  closed: boolean;
  /** Parameter at each point; a closed line has one more, for coming back. */
  knots: readonly number[];
  points: readonly Place[];
  /** Slope at each point, by the parameter. */
  slopes: readonly Place[];
}

/**
 * The smooth line through points. A closed one is the same whichever point it begins at, and as symmetric as its points are: the
 * slopes are solved for all round. An open one leaves its ends as a cubic through the nearest four points would, which is what
 * the kernel does with it.
 *
 * @param points two or more (three or more of a closed one), no two neighbours alike; @param even at even parameters.
 */
export function smoothLine(points: readonly Place[], closed: boolean, even = false): SmoothLine {
  const count = points.length;
  const pieces = closed ? count : count - 1;
  const knots = [0];
  for (let piece = 0; piece < pieces; piece += 1) {
    const [from, to] = [points[piece]!, points[(piece + 1) % count]!];
    const chord = Math.hypot(...from.map((value, axis) => to[axis]! - value));
    knots.push(knots[piece]! + (even ? 1 : chord));
  }
  const step = (piece: number) => knots[piece + 1]! - knots[piece]!;
  const rise = (piece: number, axis: number) =>
    (points[(piece + 1) % count]![axis]! - points[piece]![axis]!) / step(piece) ** 2;
  const size = points[0]!.length;
  const rows: number[][] = [];
  const wanted: number[][] = [];
  for (let index = 0; index < count; index += 1) {
    const row = Array.from({ length: count }, () => 0);
    if (!closed && (index === 0 || index === count - 1)) {
      row[index] = 1;
      wanted.push(endSlope(points, knots, index === 0));
    } else {
      const [before, after] = [(index + pieces - 1) % pieces, index];
      row[(index + count - 1) % count]! += 1 / step(before);
      row[index]! += 2 / step(before) + 2 / step(after);
      row[(index + 1) % count]! += 1 / step(after);
      wanted.push(Array.from({ length: size }, (_, axis) => 3 * (rise(before, axis) + rise(after, axis))));
    }
    rows.push(row);
  }
  return { closed, knots, points, slopes: solve(new Matrix(rows), new Matrix(wanted)).to2DArray() };
}

/** Slope at an end of the polynomial through the four points there (or as many as there are), by Lagrange. */
function endSlope(points: readonly Place[], knots: readonly number[], first: boolean): number[] {
  const used = Math.min(4, points.length);
  const places = Array.from({ length: used }, (_, index) => (first ? index : points.length - 1 - index));
  const [at, ...others] = places as [number, ...number[]];
  const t = (index: number) => knots[index]!;
  return points[0]!.map((_, axis) => {
    let slope = 0;
    for (const node of others) {
      slope += points[at]![axis]! / (t(at) - t(node));
      // Derivative of the node's own polynomial at the end: the factor that vanishes there drops out.
      let weight = 1 / (t(node) - t(at));
      for (const other of others) if (other !== node) weight *= (t(at) - t(other)) / (t(node) - t(other));
      slope += points[node]![axis]! * weight;
    }
    return slope;
  });
}

/** Points along a smooth line, so many in each piece, with its last one only if it is open. */
export function alongSmooth(line: SmoothLine, perPiece: number): number[][] {
  const { closed, knots, points, slopes } = line;
  const pieces = knots.length - 1;
  const found: number[][] = [];
  for (let piece = 0; piece < pieces; piece += 1) {
    const next = (piece + 1) % points.length;
    const step = knots[piece + 1]! - knots[piece]!;
    for (let sample = 0; sample < perPiece; sample += 1) {
      const t = sample / perPiece;
      // Hermite's polynomials.
      const [h00, h10] = [(1 + 2 * t) * (1 - t) ** 2, t * (1 - t) ** 2];
      const [h01, h11] = [t * t * (3 - 2 * t), t * t * (t - 1)];
      found.push(
        points[piece]!.map(
          (value, axis) =>
            h00 * value +
            h10 * step * slopes[piece]![axis]! +
            h01 * points[next]![axis]! +
            h11 * step * slopes[next]![axis]!,
        ),
      );
    }
  }
  return closed ? found : [...found, [...points.at(-1)!]];
}

/**
 * Poles of a closed smooth line as a periodic spline of degree 3 with simple knots, its knots; pole k has the knots
 * k − 2, k − 1 and k. By the blossom at (tᵢ₋₁, tᵢ, tᵢ₊₁): p + m (h − g) / 3 − q g h / 6, with the steps g before and h after,
 * the slope m and the second derivative q.
 */
export function polesOfClosed({ knots, points, slopes }: SmoothLine): number[][] {
  const count = points.length;
  const poleAt = (index: number): number[] => {
    const next = (index + 1) % count;
    const [before, after] = [
      knots[index === 0 ? count : index]! - knots[index === 0 ? count - 1 : index - 1]!,
      knots[index + 1]! - knots[index]!,
    ];
    return points[index]!.map((p, axis) => {
      const [m, n] = [slopes[index]![axis]!, slopes[next]![axis]!];
      const q = (6 * (points[next]![axis]! - p)) / after ** 2 - (4 * m + 2 * n) / after;
      return p + (m * (after - before)) / 3 - (q * before * after) / 6;
    });
  };
  return points.map((_, index) => poleAt((index + count - 1) % count));
}

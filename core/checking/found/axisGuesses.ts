import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { Matrix4, Vector3 } from 'three';

import type { Samples } from './samples';

/** Principal axes brought onto each other in every way that keeps left and right, with the boxes' middles or ends together. */
export function firstGuesses(found: Samples, spare: Samples): Matrix4[] {
  const [own, other] = [axesOf(found), axesOf(spare)];
  const turns = SQUARE_TURNS.flatMap((square) =>
    // About an axis that looks the same all round, its own principal axes say nothing: several turns of it.
    between(other).map((within) =>
      other.axes.clone().multiply(within).multiply(square).multiply(own.axes.clone().transpose()),
    ),
  );
  return turns.flatMap((turn) => {
    const [low, high] = boxAlong(found, turn, other.axes);
    const [wantedLow, wantedHigh] = boxAlong(spare, new Matrix4(), other.axes);
    return SIDES.map((sides) => {
      const by = new Vector3();
      for (let axis = 0; axis < 3; axis += 1) {
        const ends = [
          (wantedLow[axis]! + wantedHigh[axis]! - low[axis]! - high[axis]!) / 2,
          wantedLow[axis]! - low[axis]!,
          wantedHigh[axis]! - high[axis]!,
        ];
        by.addScaledVector(new Vector3().setFromMatrixColumn(other.axes, axis), ends[sides[axis]!]!);
      }
      return turn.clone().setPosition(by);
    });
  });
}

/** The middles of the boxes together, or one end of the longest axis, or one end of each of the two longer ones. */
const SIDES = [0, 1, 2].flatMap((x) => [0, 1, 2].map((y) => [x, y, 0] as const));

/** The 24 turns that bring three square axes onto each other. */
const SQUARE_TURNS = squareTurns();

function squareTurns(): Matrix4[] {
  const turns: Matrix4[] = [];
  const ways = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ].flatMap(([x, y, z]) => [new Vector3(x, y, z), new Vector3(-x!, -y!, -z!)]);
  for (const x of ways) {
    for (const y of ways) {
      if (x.dot(y) === 0) turns.push(new Matrix4().makeBasis(x, y, x.clone().cross(y)));
    }
  }
  return turns;
}

interface Axes {
  /** Columns, the longest first; a turn. */
  axes: Matrix4;
  /** Spread along each, mm². */
  spread: number[];
}

/** The principal axes of the surface. */
function axesOf({ points }: Samples): Axes {
  const count = points.length / 3;
  const middle = [0, 0, 0];
  for (let at = 0; at < points.length; at += 1) middle[at % 3]! += points[at]! / count;
  const spread = Matrix.zeros(3, 3);
  for (let at = 0; at < points.length; at += 3) {
    const off = [0, 1, 2].map((axis) => points[at + axis]! - middle[axis]!);
    for (let row = 0; row < 3; row += 1) {
      for (let column = 0; column < 3; column += 1) {
        spread.set(row, column, spread.get(row, column) + (off[row]! * off[column]!) / count);
      }
    }
  }
  const { eigenvectorMatrix, realEigenvalues } = new EigenvalueDecomposition(spread, {
    assumeSymmetric: true,
  });
  // Ascending: the last is the longest.
  const [x, y] = [2, 1].map((column) => new Vector3(...eigenvectorMatrix.getColumn(column))) as [
    Vector3,
    Vector3,
  ];
  return {
    axes: new Matrix4().makeBasis(x, y, x.clone().cross(y)),
    spread: [...realEigenvalues].reverse(),
  };
}

/** Two spreads are as good as equal within this factor. */
const EQUAL = 1.25;
/** Sixths of a right angle. */
const SIXTHS = [0, 1, 2, 3, 4, 5].map((step) => (step * Math.PI) / 12);

/** Turns within the axes that look the same: none, about one axis, or about all. */
function between({ spread: [long, middle, short] }: Axes): Matrix4[] {
  const [first, second] = [long! < EQUAL * middle!, middle! < EQUAL * short!];
  if (first && second) {
    return SIXTHS.filter((_, step) => step % 2 === 0).flatMap((a) =>
      SIXTHS.filter((_, step) => step % 2 === 0).map((b) =>
        new Matrix4().makeRotationZ(a).multiply(new Matrix4().makeRotationX(b)),
      ),
    );
  }
  if (first) return SIXTHS.map((angle) => new Matrix4().makeRotationZ(angle));
  if (second) return SIXTHS.map((angle) => new Matrix4().makeRotationX(angle));
  return [new Matrix4()];
}

/** Turns that are tried about the axis of what is round. */
const SPUN = 90;

/**
 * A place turned about the axis of a spare that is as good as round, all the way, and the same turned over: what tells its turns apart (spokes, a key) may be too little of it
 * to be felt from a few degrees away. None where it has no such axis.
 */
export function spun(place: Matrix4, spare: Samples): Matrix4[] {
  const { axes, spread } = axesOf(spare);
  const [long, middle, short] = spread as [number, number, number];
  const [flat, slim] = [long < EQUAL * middle, middle < EQUAL * short];
  if (flat === slim) return [];
  const axis = new Vector3().setFromMatrixColumn(axes, flat ? 2 : 0);
  const [low, high] = boxAlong(spare, new Matrix4(), axes);
  const centre = new Vector3(...low.map((mm, at) => (mm + high[at]!) / 2)).applyMatrix4(axes);
  const [there, back] = [
    new Matrix4().makeTranslation(centre.x, centre.y, centre.z),
    new Matrix4().makeTranslation(-centre.x, -centre.y, -centre.z),
  ];
  const over = new Vector3().setFromMatrixColumn(axes, flat ? 0 : 2);
  return [0, Math.PI].flatMap((half) =>
    Array.from({ length: SPUN }, (_, step) =>
      there
        .clone()
        .multiply(new Matrix4().makeRotationAxis(axis, (step * 2 * Math.PI) / SPUN))
        .multiply(new Matrix4().makeRotationAxis(over, half))
        .multiply(back)
        .multiply(place),
    ),
  );
}

/** How far points reach along axes once they are turned. */
function boxAlong({ points }: Samples, turn: Matrix4, axes: Matrix4): [number[], number[]] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  const seen = axes.clone().transpose().multiply(turn);
  const point = new Vector3();
  for (let at = 0; at < points.length; at += 3) {
    point.fromArray(points, at).applyMatrix4(seen);
    point.toArray().forEach((mm, axis) => {
      low[axis] = Math.min(low[axis]!, mm);
      high[axis] = Math.max(high[axis]!, mm);
    });
  }
  return [low, high];
}

/** The four sides of a square, each by where its points lie on it: from 0 to 1, both among them; to the right or upwards. */
export interface Sides {
  bottom: readonly number[];
  right: readonly number[];
  top: readonly number[];
  left: readonly number[];
}

/** A square in triangles. */
export interface Stitched {
  /** Its inner points, after those round its border. */
  inner: [s: number, t: number][];
  /** Three a triangle, anticlockwise. Points round the border come first, anticlockwise from the lower left corner. */
  triangles: number[];
}

/**
 * A square in triangles between the points on its sides, which its neighbours have too, and an even grid within. The border and the grid are
 * sewn together going round both at once.
 * @param columns how many pieces the grid has at least to the right; with 1 there is no grid.
 * @param rows as columns, upwards.
 */
export function stitched(sides: Sides, columns: number, rows: number): Stitched {
  const [n, m] = [
    Math.max(columns, sides.bottom.length === 2 && sides.top.length === 2 ? 1 : 2),
    Math.max(rows, sides.left.length === 2 && sides.right.length === 2 ? 1 : 2),
  ];
  const border = borderOf(sides);
  if (n === 1 || m === 1) return { inner: [], triangles: across(sides, m === 1) };
  const inner: [number, number][] = [];
  for (let row = 1; row < m; row += 1) {
    for (let column = 1; column < n; column += 1) inner.push([column / n, row / m]);
  }
  const pointAt = (column: number, row: number) => border.length + (row - 1) * (n - 1) + column - 1;
  const triangles = sewn(border, rimOf(n, m, pointAt));
  for (let row = 1; row < m - 1; row += 1) {
    for (let column = 1; column < n - 1; column += 1) {
      const [a, b] = [pointAt(column, row), pointAt(column + 1, row)];
      const [c, d] = [pointAt(column + 1, row + 1), pointAt(column, row + 1)];
      triangles.push(a, b, c, a, c, d);
    }
  }
  return { inner, triangles };
}

/** How far round the square each point of its border is, anticlockwise from the lower left corner: a side is 1. */
function borderOf({ bottom, right, top, left }: Sides): number[] {
  return [
    ...bottom.slice(0, -1),
    ...right.slice(0, -1).map((at) => 1 + at),
    ...top
      .slice(1)
      .reverse()
      .map((at) => 3 - at),
    ...left
      .slice(1)
      .reverse()
      .map((at) => 4 - at),
  ];
}

/** The outermost points of a grid, anticlockwise from its lower left one; those of one that is a single line there and back. */
function rimOf(n: number, m: number, pointAt: (column: number, row: number) => number) {
  const rim: { point: number; round: number }[] = [];
  for (let column = 1; column < n; column += 1) rim.push({ point: pointAt(column, 1), round: column / n });
  for (let row = 1; row < m; row += 1) rim.push({ point: pointAt(n - 1, row), round: 1 + row / m });
  for (let column = n - 1; column > 0; column -= 1) {
    rim.push({ point: pointAt(column, m - 1), round: 3 - column / n });
  }
  for (let row = m - 1; row > 0; row -= 1) rim.push({ point: pointAt(1, row), round: 4 - row / m });
  return rim;
}

/** Triangles between the border and the rim of what lies within it. */
function sewn(border: readonly number[], rim: readonly { point: number; round: number }[]): number[] {
  const triangles: number[] = [];
  let [outer, inner] = [0, 0];
  const outerAt = (index: number) => border[index % border.length]! + (index >= border.length ? 4 : 0);
  const innerAt = (index: number) => rim[index % rim.length]!.round + (index >= rim.length ? 4 : 0);
  while (outer < border.length || inner < rim.length) {
    const [from, within] = [outer % border.length, rim[inner % rim.length]!.point];
    const goesOut =
      inner >= rim.length || (outer < border.length && outerAt(outer + 1) <= innerAt(inner + 1));
    if (goesOut) {
      triangles.push(from, (outer + 1) % border.length, within);
      outer += 1;
    } else {
      const next = rim[(inner + 1) % rim.length]!.point;
      if (next !== within) triangles.push(from, next, within);
      inner += 1;
    }
  }
  return triangles;
}

/** Triangles from one side to the opposite one, where the other two have no points between their ends. */
function across({ bottom, right, top, left }: Sides, isUpward: boolean): number[] {
  // The near side goes on round the border, the far one goes back.
  const [near, far, begins] = isUpward ? [bottom, top, 0] : [right, left, bottom.length - 1];
  const all = bottom.length + right.length + top.length + left.length - 4;
  const nearAt = (index: number) => (begins + index) % all;
  const farAt = (index: number) => (begins - 1 - index + all) % all;
  const triangles: number[] = [];
  let [a, b] = [0, 0];
  while (a < near.length - 1 || b < far.length - 1) {
    if (b === far.length - 1 || (a < near.length - 1 && near[a + 1]! <= far[b + 1]!)) {
      triangles.push(nearAt(a), nearAt(a + 1), farAt(b));
      a += 1;
    } else {
      triangles.push(nearAt(a), farAt(b + 1), farAt(b));
      b += 1;
    }
  }
  return triangles;
}

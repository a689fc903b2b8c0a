import { ownValue } from '@core/foundations/own';

/** A row as numbers, mm; null where one is not known yet. */
export type NumberRow = Readonly<Record<string, number | null>>;

export interface RowsDrawing {
  /** Runs of points, x0, y0, x1, y1, …, y up. */
  lines: { points: number[]; closed: boolean }[];
  circles: { x: number; y: number; radius: number }[];
  /** Where each row is seen: a point, or a line across the shape. Null where its numbers are not known. */
  marks: ({ from: [number, number]; to: [number, number] } | null)[];
}

/** How a list of rows is drawn: the profile of stations, circles, or a run of points; null for what has no drawing. */
export function drawingOfRows(
  rows: readonly NumberRow[],
  keys: readonly string[],
  isClosed: boolean,
): RowsDrawing | null {
  const has = (...wanted: string[]) => wanted.every((key) => keys.includes(key));
  if (has('at', 'diameter')) return profileOf(rows);
  if (has('x', 'y', 'diameter')) return circlesOf(rows);
  if (has('x', 'y')) return runOf(rows, isClosed);
  return null;
}

const known = (row: NumberRow, key: string): number | null => ownValue(row, key) ?? null;

/** Both sides of a turned shape, lying, its foot at the left. */
function profileOf(rows: readonly NumberRow[]): RowsDrawing {
  const stations = rows.map((row) => {
    const [at, across] = [known(row, 'at'), known(row, 'diameter')];
    return at === null || across === null ? null : { at, half: across / 2 };
  });
  const inOrder = stations.flatMap((one) => one ?? []).sort((a, b) => a.at - b.at);
  const upper = inOrder.flatMap(({ at, half }) => [at, half]);
  const lower = [...inOrder].reverse().flatMap(({ at, half }) => [at, -half]);
  return {
    lines: [{ points: [...upper, ...lower], closed: true }],
    circles: [],
    marks: stations.map((one) => one && { from: [one.at, -one.half], to: [one.at, one.half] }),
  };
}

function circlesOf(rows: readonly NumberRow[]): RowsDrawing {
  const circles = rows.map((row) => {
    const [x, y, across] = [known(row, 'x'), known(row, 'y'), known(row, 'diameter')];
    return x === null || y === null || across === null ? null : { x, y, radius: across / 2 };
  });
  return {
    lines: [],
    circles: circles.flatMap((one) => one ?? []),
    marks: circles.map(
      (one) => one && { from: [one.x - one.radius, one.y], to: [one.x + one.radius, one.y] },
    ),
  };
}

/** What lies to the back is drawn aslant where there is a height as well (cavalier, ISO 5456-3). */
const SLANT = 0.35;

function runOf(rows: readonly NumberRow[], isClosed: boolean): RowsDrawing {
  const places = rows.map((row): [number, number] | null => {
    const [x, y, up] = [known(row, 'x'), known(row, 'y'), 'up' in row ? known(row, 'up') : 0];
    if (x === null || y === null || up === null) return null;
    return 'up' in row ? [x + SLANT * y, up + SLANT * y] : [x, y];
  });
  return {
    lines: [{ points: places.flatMap((one) => one ?? []), closed: isClosed }],
    circles: [],
    marks: places.map((one) => one && { from: one, to: one }),
  };
}

import type { SolvedLayout } from '@core/measuring/layout';

/** How millimetres of a layout lie on the board, px; y of the layout points up. */
export interface BoardView {
  scale: number;
  toPx(x: number, y: number): { x: number; y: number };
  toMm(px: number, py: number): { x: number; y: number };
}

/** Room round the points for edges, labels and fingers, px. */
const MARGIN = 54;
/** What an empty board shows, mm across. */
const EMPTY_MM = 100;

/** Fits all points, and the edges that were measured to, into the board. */
export function boardView(solved: SolvedLayout, width: number, height: number): BoardView {
  const xs = solved.points.map(({ x }) => x);
  const ys = solved.points.map(({ y }) => y);
  const tied = solved.tiedTo !== 'firstTwoPoints';
  if (tied || xs.length === 0) {
    xs.push(0, ...(solved.right === null ? [] : [solved.right]));
    ys.push(0, ...(solved.top === null ? [] : [solved.top]));
  }
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [bottom, top] = [Math.min(...ys), Math.max(...ys)];
  const few = solved.points.length < 2;
  const [spanX, spanY] = few ? [EMPTY_MM, EMPTY_MM * 0.6] : [right - left, top - bottom];
  const room = { x: Math.max(width - 2 * MARGIN, 20), y: Math.max(height - 2 * MARGIN, 20) };
  const scale = Math.min(room.x / Math.max(spanX, 1e-6), room.y / Math.max(spanY, 1e-6), 40);
  const [middleX, middleY] = few ? [EMPTY_MM / 2, EMPTY_MM * 0.3] : [(left + right) / 2, (bottom + top) / 2];
  return {
    scale,
    toPx: (x, y) => ({ x: width / 2 + (x - middleX) * scale, y: height / 2 - (y - middleY) * scale }),
    toMm: (px, py) => ({
      x: middleX + (px - width / 2) / scale,
      y: middleY - (py - height / 2) / scale,
    }),
  };
}

/** Ellipses are far smaller than the layout: drawn this many times too large so that they can be seen. */
export function ellipseZoom(solved: SolvedLayout, view: BoardView): number {
  const largest = Math.max(0, ...solved.points.map(({ ellipse }) => ellipse?.long ?? 0));
  if (largest * view.scale < 1e-6) return 1;
  const wanted = 16 / (largest * view.scale);
  // A round number, so that it can be told.
  const power = 10 ** Math.floor(Math.log10(Math.max(wanted, 1)));
  return Math.max(1, power * ([5, 2, 1].find((step) => step * power <= wanted) ?? 1));
}

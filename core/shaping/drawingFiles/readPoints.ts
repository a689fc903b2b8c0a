import Papa from 'papaparse';

import type { Point } from '@core/shaping/outline';

import { LeftOut, MOST_BYTES, type DrawingFile, type DrawingFileFault } from './drawingFile';

/** Points of a CSV file: two numbers a row, with a comma, a semicolon or a tab between them. A first row of words is taken as a heading. */
export function readPoints(
  text: string,
):
  | { ok: true; value: { points: Point[]; leftOut: ReadonlyMap<string, number> } }
  | { ok: false; fault: DrawingFileFault } {
  if (text.length > MOST_BYTES)
    return {
      ok: false,
      fault: { code: 'tooLarge', mb: text.length / 1024 ** 2, mostMb: MOST_BYTES / 1024 ** 2 },
    };
  const { data, meta } = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: true,
    delimitersToGuess: [';', '\t', ',', ' '],
  });
  // Where a comma is no delimiter it may stand in a number.
  const number = (cell: string | undefined) => {
    const plain = (cell ?? '').trim();
    return plain === '' ? NaN : Number(meta.delimiter === ',' ? plain : plain.replace(',', '.'));
  };
  const leftOut = new LeftOut();
  const points: Point[] = [];
  for (const [index, [x, y]] of data.entries()) {
    const at: Point = [number(x), number(y)];
    if (at.every(Number.isFinite)) points.push(at);
    else if (index > 0) leftOut.add('row without two numbers');
  }
  return points.length < 2
    ? { ok: false, fault: { code: 'noPoints' } }
    : { ok: true, value: { points, leftOut: leftOut.kinds } };
}

/** Points as a closed outline: straight from one to the next, or smooth through them. One that is the first again only closes it. */
export function curvesThrough(
  points: readonly Point[],
  between: 'straight' | 'smooth',
): DrawingFile['curves'] {
  const [first, last] = [points[0]!, points.at(-1)!];
  const isAgain = points.length > 2 && first[0] === last[0] && first[1] === last[1];
  const round = (isAgain ? points.slice(0, -1) : points).filter(
    ([x, y], index, all) => index === 0 || x !== all[index - 1]![0] || y !== all[index - 1]![1],
  );
  if (between === 'smooth' && round.length > 2)
    return [{ curve: { kind: 'spline', points: round, closed: true, role: '' }, layer: '' }];
  return round.map((from, index) => ({
    curve: { kind: 'line', from, to: round[(index + 1) % round.length]!, role: '' },
    layer: '',
  }));
}

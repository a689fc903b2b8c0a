import {
  PRINT_FIGURES,
  printDrawing,
  printFigure,
  printFigureKey,
  type PrintFigure,
} from '@core/making/figures';

const tenths = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_key, one: unknown) =>
      typeof one === 'number' ? Math.round(one * 10) / 10 : one,
    ),
  );

test.each(PRINT_FIGURES.map((figure) => [printFigureKey(figure), figure] as const))(
  '%s is drawn as it is sliced, and as it is shipped',
  (_, figure) => {
    expect(tenths(printFigure(figure))).toEqual(printDrawing(figure));
  },
);

/** Points of what a setting adds. */
const added = (figure: PrintFigure) => {
  const { edges, made } = printDrawing(figure);
  return made.map((index) => edges[index]!);
};
const heights = (lines: readonly number[][]) => lines.flatMap((line) => line.filter((_, at) => at % 2 === 1));

/** Where lines cross a height. */
const crossingsAt = (lines: readonly number[][], y: number): number[] =>
  lines.flatMap((line) =>
    line.flatMap((x, at) => {
      const [y0, x1, y1] = [line[at + 1]!, line[at + 2], line[at + 3]];
      if (at % 2 === 1 || x1 === undefined || y1 === undefined || y0 > y === y1 > y) return [];
      return [x + ((y - y0) / (y1 - y0)) * (x1 - x)];
    }),
  );

test('nothing is drawn for none; a skirt is apart from the part, a brim touches it, ears are at its corners only', () => {
  const [none, skirt, brim, ears] = (['none', 'skirt', 'brim', 'ears'] as const).map((choice) =>
    added({ setting: 'adhesion', choice }),
  );
  expect(none).toEqual([]);
  // Half way up the bracket's left side, which is at x = 0.
  const beside = (lines: number[][]) => crossingsAt(lines, 15).filter((x) => x < 0);
  expect(Math.max(...beside(skirt!))).toBeLessThan(-3);
  expect(Math.max(...beside(brim!))).toBeGreaterThan(-1);
  expect(beside(ears!)).toEqual([]);
  expect(ears!.length).toBeGreaterThan(3);
});

test('supports from the bed stand under the arm alone, everywhere also within', () => {
  expect(added({ setting: 'supports', choice: 'none' })).toEqual([]);
  const bed = added({ setting: 'supports', choice: 'bed' });
  const everywhere = added({ setting: 'supports', choice: 'everywhere' });
  // Inside the stand, from its floor at 4 to its shelf at 14 mm, x is below 26.
  const within = (lines: number[][]) => lines.filter(([x]) => x! < 24).length;
  expect([within(bed), within(everywhere) > 3]).toEqual([0, true]);
  // Under the arm they end below it.
  expect(Math.max(...heights(bed))).toBeLessThan(22);
  expect(Math.min(...heights(everywhere))).toBeLessThan(5);
});

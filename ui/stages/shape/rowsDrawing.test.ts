import { drawingOfRows } from './rowsDrawing';

test('stations are a profile in the order of their heights, each marked across it', () => {
  const rows = [
    { at: 0, diameter: 20 },
    { at: 30, diameter: 10 },
    { at: 12, diameter: 16 },
  ];
  const { lines, marks } = drawingOfRows(rows, ['at', 'diameter'], false)!;
  expect(lines).toEqual([{ points: [0, 10, 12, 8, 30, 5, 30, -5, 12, -8, 0, -10], closed: true }]);
  expect(marks[2]).toEqual({ from: [12, -8], to: [12, 8] });
});

test('a row that is not known yet is left out and has no mark', () => {
  const rows = [
    { x: 0, y: 0 },
    { x: null, y: 3 },
    { x: 10, y: 5 },
  ];
  const { lines, marks } = drawingOfRows(rows, ['x', 'y'], true)!;
  expect(lines).toEqual([{ points: [0, 0, 10, 5], closed: true }]);
  expect(marks).toEqual([{ from: [0, 0], to: [0, 0] }, null, { from: [10, 5], to: [10, 5] }]);
});

test('circles stand where they are; a path with heights is drawn aslant; other rows have no drawing', () => {
  expect(drawingOfRows([{ x: 4, y: 1, diameter: 6 }], ['x', 'y', 'diameter'], false)!.circles).toEqual([
    { x: 4, y: 1, radius: 3 },
  ]);
  expect(drawingOfRows([{ x: 10, y: 10, up: 20 }], ['x', 'y', 'up'], false)!.lines[0]!.points).toEqual([
    13.5, 23.5,
  ]);
  expect(drawingOfRows([{ size: 3 }], ['size'], false)).toBeNull();
});

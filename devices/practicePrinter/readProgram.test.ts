import { readProgram, type Program } from './readProgram';

/** Small enough to be read at once. */
const read = (gcode: string) => readProgram(gcode) as Program;

test('an arc takes as long as its way round, either way, and a whole turn too', () => {
  const corners = 1.15;
  const at = 'G90\nM83\nG1 X10 Y0 Z0.2 F1200\n';
  const before = read(at).seconds;
  const taken = (line: string) => (read(at + line).seconds - before) / corners;
  // At 20 mm/s, radius 5: half a circle, three quarters clockwise, a whole one.
  expect(taken('G3 X10 Y10 I0 J5 E1')).toBeCloseTo((5 * Math.PI) / 20, 9);
  expect(taken('G2 X15 Y5 I0 J5 E1')).toBeCloseTo((7.5 * Math.PI) / 20, 9);
  expect(taken('G2 X10 Y0 I0 J5 E1')).toBeCloseTo((10 * Math.PI) / 20, 9);
  expect(read(`${at}G3 X10 Y0 I0 J5 E1`)).toMatchObject({ lays: true, layers: 1 });
});

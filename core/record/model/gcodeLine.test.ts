import { isGcodeLine, linesOf, unreadableLine } from './gcodeLine';

test.each([
  '',
  '; only words',
  'G28',
  'G28 X Y',
  'G1 X10.5 Y-3 E.02 F6000 ; along',
  'g1x10y20',
  'N12 G1 X1*57',
  'G92 E0',
  'G92',
  'M104 S205 T0',
  'M117 Layer 1 of {many}',
  'T1',
  'G29.1 Z0.2',
  'START_PRINT BED=60 NOZZLE=215',
])('“%s” is taken', (line) => expect(isGcodeLine(line)).toBe(true));

test.each([
  'G1 Z[first_layer_height] F300',
  'G1 X1.2.3',
  'G1 X10 Fnan',
  'G4 Px',
  'G1 X',
  'M104 S{temperature}',
  'heat up first',
  'G0 X--3',
])('“%s” is not', (line) => expect(isGcodeLine(line)).toBe(false));

test('nothing is hidden behind a NUL', () => expect(isGcodeLine('G1 X1\0 Y2')).toBe(false));

test('the first line that can’t be taken is told with its number', () => {
  const text = 'G28\nG1 X1 Y1\nG1 Z[layer] F300\nG1 Xx';
  expect(unreadableLine(linesOf(text))).toEqual({ line: 3, text: 'G1 Z[layer] F300' });
  expect(unreadableLine(linesOf('G28\n'))).toBeNull();
  expect([...linesOf('a\n\nb\n')]).toEqual(['a', '', 'b', '']);
});

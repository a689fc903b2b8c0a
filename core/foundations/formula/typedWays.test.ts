import { compileFormula, parseFormula, readTyped } from '@core/foundations/formula';
import type { LengthUnit, Quantity } from '@core/foundations/quantity';

/** What a way of typing must come to: a number (mm, degrees, a count), a question, or a refusal. */
type Meant = number | 'asked' | 'refused';

const IN = 25.4;
const length: [string, Meant, LengthUnit?][] = [
  // Plain, with the marks and spaces of keyboards, spreadsheets and displays.
  ['38.2', 38.2],
  ['38,2', 38.2],
  ['38.20', 38.2],
  [' 38.2 ', 38.2],
  ['\t38.2\n', 38.2],
  ['38.2mm', 38.2],
  ['38.2 mm', 38.2],
  ['38,2 mm.', 38.2],
  ['38.2 MM', 38.2],
  ['38.2\u00a0mm', 38.2],
  ['38.2\u202fmm', 38.2],
  ['+38.2', 38.2],
  ['-3', -3],
  ['\u22123', -3],
  ['\u20133', -3],
  ['.5', 0.5],
  [',5', 0.5],
  ['5.', 5],
  ['0,250', 0.25],
  ['0.250', 0.25],
  ['1.250', 1.25],
  ['12,25', 12.25],
  ['12,2500', 12.25],
  ['3.82 cm', 38.2],
  ['3,82cm', 38.2],
  ['38.2 millimetres', 38.2],
  ['38.2 millimeters', 38.2],
  ['\uff13\uff18\uff0e\uff12', 38.2],
  ['ø12.4', 12.4],
  ['Ø 12.4', 12.4],
  ['⌀12,4 mm', 12.4],
  ['∅12.4', 12.4],
  // A comma before three digits may be one of thousands.
  ['1,250', 'asked'],
  ['12,500', 12.5],
  ['1,250 mm', 'asked'],
  ['1,250 in', 1.25 * IN],
  ['1,250 cm', 12.5],
  ['1,250', 1.25 * IN, 'in'],
  ['8,000', 'asked'],
  ['9,999', 'asked'],
  ['38,200', 38.2],
  ['1,250/2', 'asked'],
  ['3 + 1,125', 'asked'],
  ['1,2345', 1.2345],
  ['1,234.5', 1234.5],
  ['1.234,5', 1234.5],
  ['1,250.50', 1250.5],
  ['1.250.000', 1_250_000],
  ['1.2.3', 'refused'],
  // Inches as decimals.
  ['0.237"', 0.237 * IN],
  ['.237"', 0.237 * IN],
  ['0.237 in', 0.237 * IN],
  ['0.237in', 0.237 * IN],
  ['0,237 inch', 0.237 * IN],
  ['0.237 inches', 0.237 * IN],
  ['0.237″', 0.237 * IN],
  ['0.237”', 0.237 * IN],
  ["0.237''", 0.237 * IN],
  ['0.237 In.', 0.237 * IN],
  ['1.5', 1.5 * IN, 'in'],
  ['1.5 mm', 1.5, 'in'],
  ['1.5"', 1.5 * IN, 'in'],
  ['2 cm', 20, 'in'],
  // Fractions of inches, written out.
  ['3/8"', 0.375 * IN],
  ['3/8 in', 0.375 * IN],
  ['3/8in', 0.375 * IN],
  ['3 / 8 in', 0.375 * IN],
  ['3⁄8"', 0.375 * IN],
  ['3∕8 in', 0.375 * IN],
  ['1 3/16 in', 1.1875 * IN],
  ['1 3/16"', 1.1875 * IN],
  ['1 3 / 16 in', 1.1875 * IN],
  ['1 3/16', 1.1875 * IN, 'in'],
  ['3/16', 0.1875 * IN, 'in'],
  ['-3/16', -0.1875 * IN, 'in'],
  ['1  3/16 in', 1.1875 * IN],
  ['27/64"', (27 / 64) * IN],
  ['2 3/8 in', 2.375 * IN],
  // With a hyphen, as on drawings and in catalogues.
  ['3-1/2"', 3.5 * IN],
  ['3-1/2 in', 3.5 * IN],
  ['3-1/2', 3.5 * IN, 'in'],
  ['3\u20101/2"', 3.5 * IN],
  ['3–1/2"', 3.5 * IN],
  ['1-3/16"', 1.1875 * IN],
  ['3-1/2', 'asked'],
  ['10-3/8', 'asked'],
  ['3 - 1/2', 2.5],
  ['3 - 1/2', 2.5 * IN, 'in'],
  ['10 - 3/8', 9.625],
  ['12-4', 8],
  ['12-4/2', 'asked'],
  // Fractions of one character.
  ['½"', 0.5 * IN],
  ['½ in', 0.5 * IN],
  ['3½"', 3.5 * IN],
  ['3 ½"', 3.5 * IN],
  ['3½ in', 3.5 * IN],
  ['3-½"', 3.5 * IN],
  ['1¾"', 1.75 * IN],
  ['⅜"', 0.375 * IN],
  ['2⅝ in', 2.625 * IN],
  ['1⅞″', 1.875 * IN],
  ['⅛ in', 0.125 * IN],
  ['1½', 1.5 * IN, 'in'],
  ['¼', 0.25 * IN, 'in'],
  ['12¼"', 12.25 * IN],
  ['1½', 'asked'],
  ['3½', 'asked'],
  ['12¾', 'asked'],
  ['1 1/2', 'asked'],
  ['½', 'asked'],
  ['3/16', 'asked'],
  ['3½ mm', 3.5],
  ['10 1/2', 'asked'],
  ['31 - 1 3/16', 'asked'],
  ['1½ + 2', 'asked'],
  // Feet and inches.
  ["5'", 60 * IN],
  ['5 ft', 60 * IN],
  ['5ft', 60 * IN],
  ['5′', 60 * IN],
  ['5 feet', 60 * IN],
  ['1 foot', 12 * IN],
  [`5' 3"`, 63 * IN],
  [`5'3"`, 63 * IN],
  ['5′ 3″', 63 * IN],
  ['5’ 3”', 63 * IN],
  [`5'-3"`, 63 * IN],
  [`5' - 3"`, 63 * IN],
  [`1' 2 1/2"`, 14.5 * IN],
  ['1 ft 2 in', 14 * IN],
  ['1ft 2 1/2in', 14.5 * IN],
  [`1'-2½"`, 14.5 * IN],
  ["1' 3", 15 * IN],
  [`2.5'`, 30 * IN],
  [`1' 2-1/2"`, 14.5 * IN],
  // Sums.
  ['38/2', 19],
  ['12.4/2', 6.2],
  ['38.2 / 2', 19.1],
  ['31 - 2*3', 25],
  ['31 − 2×3', 25],
  ['31-2·3', 'asked'],
  ['12·5', 'asked'],
  ['(10+4)/2', 7],
  ['2*(3+4)', 14],
  ['10 + 2 + 3', 15],
  ['10÷4', 2.5],
  ['12,4/2', 6.2],
  ['19.05/3', 6.35],
  ['3in + 2', 3 * IN + 2],
  ['3 in + 2', 3 * IN + 2],
  ['3in + 2 mm', 3 * IN + 2],
  ['1 3/16 in + 2 mm', 1.1875 * IN + 2],
  ['3" + 2"', 5 * IN],
  ['3/8 in + 1/8 in', 0.5 * IN],
  ['1/2"*3', 1.5 * IN],
  ['2 cm + 5 mm', 25],
  ['2cm+5mm', 25],
  ['3-1/2" + 2', 3.5 * IN + 2],
  ['3-1/2" - 1/2"', 3 * IN],
  ['1 ft + 2', 12 * IN + 2],
  [`5' 3" / 2`, 31.5 * IN],
  ['3in*2', 6 * IN],
  ['1/2in', 0.5 * IN],
  ['4*1/2', 2],
  ['25.4/2+1', 13.7],
  ['10²', 100],
  ['10^2', 100],
  ['2³', 8],
  ['2*π', 2 * Math.PI],
  ['π*12', 12 * Math.PI],
  ['12*pi', 12 * Math.PI],
  ['100/π', 100 / Math.PI],
  ['2^-1', 0.5],
  ['2⁻¹', 0.5],
  ['ø12.4/2', 6.2],
  ['Ø12.4 - 2*1.5', 9.4],
  ['sqrt(16)*2', 8],
  ['hypot(3; 4)', 5],
  ['max(3, 5)', 5],
  // One length in two units, as on drawings; never a product.
  ['12.5 (0.492)', 12.5],
  ['12.5 mm (0.492 in)', 12.5],
  ['0.492 (12.5)', 0.492 * IN, 'in'],
  ['0.492" (12.5)', 0.492 * IN],
  ['1/2 in (12.7)', 12.7],
  ['50 (2)', 'asked'],
  ['12.5 (1/2 in)', 'asked'],
  ['3(4)', 'asked'],
  ['2*(3+4)/(7)', 2],
  // Limits of a drawing: their middle or the nominal size, and the sum where it may be one.
  ['10 +0,1 -0,2', 'asked'],
  ['10 +0.1/-0.2', 'asked'],
  ['10 +0.1 / -0.2', 'asked'],
  ['10 -0.2 +0.1', 'asked'],
  ['10±0.1', 'asked'],
  ['10 +/- 0.1 mm', 'asked'],
  ['10 + 0.1 - 0.2', 9.9],
  ['10 - 2 - 3', 5],
  ['12 -4', 8],
  // Signs of a sum that are signs of a mixed number too.
  ['1.1/2"', 'asked'],
  ['1.1/2', 'asked', 'in'],
  ['1.1/2', 0.55],
  ['12.5/2', 6.25],
  ['12.5/2', 6.25 * IN, 'in'],
  ['1+1/2"', 'asked'],
  ['1 + 1/2"', 1 + IN / 2],
  ['1+1/2', 1.5 * IN, 'in'],
  ['3/8 + 1/16 in', 'asked'],
  ['3/8" + 1/16"', (7 / 16) * IN],
  ['3-1/2 - 1/4', 'asked', 'in'],
  ['(1-1/2)/2', 'asked', 'in'],
  ['1/4 3/8', 'refused'],
  ['1/4 3/8', 'refused', 'in'],
  ['1" 1/2', 1.5 * IN],
  ['1 in 3/8', 1.375 * IN],
  ['2" 3/4"', 2.75 * IN],
  ['1-inch', IN],
  ['3-mm', 3],
  // Groups of digits.
  ["1'250", 1250],
  ["10'000", 10_000],
  ["1'250,5", 1250.5],
  ['12 345', 12_345],
  ['1 250.5 mm', 1250.5],
  ['7 .5', 7.5],
  ['7 ,5 mm', 7.5],
  // Other units, and words beside the number.
  ['500 µm', 0.5],
  ['500 \u03bcm', 0.5],
  ['12 thou', 0.012 * IN],
  ['12 mil', 0.012 * IN],
  ['0.5 m', 500],
  ['1.2 dm', 120],
  ['5 M', 'refused'],
  ['1 cm 5 mm', 15],
  ['1 m 25 cm', 1250],
  ['0.5 m + 3', 503],
  ['5 mm 1 cm', 'refused'],
  ['5/16ths in', (5 / 16) * IN],
  ['1 and 1/2"', 1.5 * IN],
  ['12.5 mm wide', 12.5],
  ['1/2" thick', IN / 2],
  ['dia 12.5', 12.5],
  ['dia. 12.5 mm', 12.5],
  ['3 x 2', 6],
  ['2π', 2 * Math.PI],
  ['√16', 4],
  ['√(9+16)', 5],
  ['sin(30°)*10', 5],
  ['10*cos(60)', 5],
  // Digits of other scripts.
  ['\u0661\u0662\u066b\u0665', 12.5],
  ['\u0967\u0968.\u096b', 12.5],
  // What is no length.
  ['', 'refused'],
  ['wheel', 'refused'],
  ['12 apples', 'refused'],
  ['1e3', 'refused'],
  ['2E-1', 'refused'],
  ['2e-1', 'refused'],
  ['1.5E2+1', 'refused'],
  ['NaN', 'refused'],
  ['Infinity', 'refused'],
  ['10₂', 'refused'],
  ['①', 'refused'],
  ['R5', 'asked'],
  ['R12.5 mm', 'asked'],
  ['radius 4', 'asked'],
  ['M8', 'refused'],
  ['3/0 in', 'refused'],
  ['3/0', 'refused'],
  ['--3', 'refused'],
  ['1 2 in', 'refused'],
  ['1 2', 'refused'],
  ['<b>3</b>', 'refused'],
  ['5"3\'', 'refused'],
  ['12/2/3', 2],
  ['3 in mm', 'refused'],
  ['0x10', 'refused'],
  ['1_000', 'refused'],
];
const angles: [string, Meant][] = [
  ['45', 45],
  ['45°', 45],
  ['45º', 45],
  ['45˚', 45],
  ['22,5°', 22.5],
  ['30 deg', 30],
  ['30 degrees', 30],
  ["45° 30'", 45.5],
  ["45º 30'", 45.5],
  ['45°30′', 45.5],
  ['45° 30′ 36″', 45.51],
  [`45° 30' 36"`, 45.51],
  ["45°30.6'", 45.51],
  ['-10', -10],
  ['90-22.5', 67.5],
  ['180/8', 22.5],
  ["90 - 22° 30'", 67.5],
  ["30'", 0.5],
  ["45'", 0.75],
  [`12' 30"`, 12.5 / 60],
  ['15"', 15 / 3600],
  ['30:15', 30.25],
  ['30:15:36', 30.26],
  ['0.5 rad', (0.5 * 180) / Math.PI],
  ["30.5°30'", 'refused'],
  ["30' 45°", 'refused'],
  ['π/4', 'asked'],
  ['2π/3', 'asked'],
  [`90 - 22° 30' 36"`, 67.49],
  ["45° 75'", 'refused'],
  ['right', 'refused'],
  ['4 5 6', 'refused'],
  ['12 mm', 'refused'],
  ['45 30', 'refused'],
];
const counts: [string, Meant][] = [
  ['24', 24],
  [' 24 ', 24],
  ['4*6', 24],
  ['24/2', 12],
  ['2.5', 'refused'],
  ['0', 'refused'],
  ['six', 'refused'],
  ['24²', 576],
  ['-3', 'refused'],
];

const ASKED = new Set([
  'length.twoReadings',
  'length.fractionNeedsInch',
  'length.tolerance',
  'angle.twoReadings',
]);

function outcome(text: string, quantity: Quantity, unit?: LengthUnit): Meant {
  const read = readTyped(text, quantity, unit);
  if (read.ok) return quantity === 'angle' ? (read.value * 180) / Math.PI : read.value;
  return ASKED.has(read.fault.code) ? 'asked' : 'refused';
}
const expectMeant = (found: Meant, meant: Meant) => {
  if (typeof meant === 'number' && typeof found === 'number') expect(found).toBeCloseTo(meant, 8);
  else expect(found).toBe(meant);
};

test('there are more than two hundred ways to try', () => {
  expect(length.length + angles.length + counts.length).toBeGreaterThanOrEqual(200);
});
test.each(length.map(([text, meant, unit = 'mm']) => [text, unit, meant] as const))(
  'the length %j in %s comes to %p',
  (text, unit, meant) => expectMeant(outcome(text, 'length', unit), meant),
);
test.each(angles)('the angle %j comes to %p', (text, meant) => expectMeant(outcome(text, 'angle'), meant));
test.each(counts)('the count %j comes to %p', (text, meant) => expectMeant(outcome(text, 'count'), meant));

test('what is asked can be chosen: each way is written so that it is read in one way, and they differ', () => {
  const asked = [
    ...length
      .filter(([, meant]) => meant === 'asked')
      .map(([text, , unit]) => ({ text, unit, of: 'length' as const })),
    ...angles
      .filter(([, meant]) => meant === 'asked')
      .map(([text]) => ({ text, unit: 'mm' as const, of: 'angle' as const })),
  ];
  expect(asked.length).toBeGreaterThan(30);
  for (const { text, unit, of } of asked) {
    const read = readTyped(text, of, unit);
    if (read.ok || !('readings' in read.fault)) throw new Error(text);
    const values = read.fault.readings.map((way) => outcome(way, of, unit));
    expect({ text, ways: read.fault.readings, values: values.map((value) => typeof value) }).toEqual({
      text,
      ways: read.fault.readings,
      values: values.map(() => 'number'),
    });
    const even = read.fault.code === 'length.tolerance' && values.length === 1;
    expect({ text, values: new Set((values as number[]).map((value) => value.toFixed(4))).size }).toEqual({
      text,
      values: even ? 1 : values.length,
    });
  }
});

test('limits of a drawing come with their middle and how far they are from it', () => {
  const read = readTyped('10 +0,1 -0,2', 'length');
  expect(read).toMatchObject({
    ok: false,
    fault: { low: '9.8', high: '10.1', plusMinus: '0.15', readings: ['9.95', '10', '10 + 0,1 - 0,2'] },
  });
});

test('a formula that is kept is read as it was before anybody asked', () => {
  for (const [text, mm] of [
    ['3-1/2', 2.5],
    ['12·5', 60],
    ['1,250', 1.25],
    ['2(3+4)', 14],
  ] as const) {
    const expression = parseFormula(text);
    if (!expression.ok) throw new Error(text);
    const program = compileFormula(expression.value, () => null, 'length', 'mm');
    expect(program.ok && program.value.evaluate([])).toBeCloseTo(mm, 9);
  }
});

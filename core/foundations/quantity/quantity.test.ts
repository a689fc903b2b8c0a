import fc from 'fast-check';

import {
  DISPLAY_UNITS,
  MM_PER,
  parseAngle,
  parseCount,
  parseLength,
  roundTo,
  showLength,
  showNumber,
  showQuantity,
  showQuantityUncertainty,
  showSigned,
  showUncertainty,
  tidy,
  typedUnitOf,
  unitAfter,
  type LengthUnit,
} from '@core/foundations/quantity';

const mm = (text: string, unit?: LengthUnit) => {
  const result = parseLength(text, unit);
  if (!result.ok) throw new Error(result.fault.code);
  return result.value;
};
const fault = (text: string) => {
  const result = parseLength(text);
  return result.ok ? null : result.fault.code;
};

describe('reading a length', () => {
  test.each([
    ['38.2', 38.2],
    ['38,20 mm', 38.2],
    ['  38.20 mm\n', 38.2],
    ['\u00a038.20', 38.2],
    ['.5', 0.5],
    ['3.82cm', 38.2],
    ['1 3/16 in', 30.1625],
    ['3/8"', 9.525],
    ['1 3 / 16 in', 30.1625],
    ['0.237"', 6.0198],
    ['2 inches', 50.8],
    ['-3', -3],
    ['\u22123', -3],
  ])('%j is %d mm', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

  test('takes the person’s own unit when none is given', () => {
    expect(mm('0.5', 'in')).toBeCloseTo(12.7, 9);
    expect(mm('1 1/2', 'in')).toBeCloseTo(38.1, 9);
    expect(mm('12 mm', 'in')).toBe(12);
  });

  test.each([
    ['', 'length.empty'],
    ['   ', 'length.empty'],
    ['wheel', 'length.notANumber'],
    ['12 apples', 'length.notANumber'],
    ['1.2.3', 'length.twoMarks'],
    ['1.2.34', 'length.twoMarks'],
    ['3/16', 'length.fractionNeedsInch'],
    ['3/0 in', 'length.zeroDenominator'],
    ['1 2 in', 'length.notANumber'],
    ['.', 'length.notANumber'],
    ['NaN', 'length.notANumber'],
    ['1e3', 'length.notANumber'],
    ['<b>3</b>', 'length.notANumber'],
  ])('%j is refused as %s', (text, code) => expect(fault(text)).toBe(code));

  test('what is shown can be read back, in each unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500_000 }), fc.constantFrom('mm', 'in'), (hundredths, unit) => {
        const length = hundredths / 100;
        const back = mm(`${showNumber(length, unit as 'mm', 5)} ${unit}`);
        expect(Math.abs(back - length)).toBeLessThan(unit === 'mm' ? 1e-9 : 25.4e-5 / 2 + 1e-9);
      }),
    );
  });
});

describe('showing a length', () => {
  test('signs, zero and rounding up', () => {
    expect(showSigned(0.18)).toBe('+0.18');
    expect(showSigned(-0.05)).toBe('\u22120.05');
    expect(showSigned(-0.0001)).toBe('+0.00');
    expect(showUncertainty(0.0231)).toBe('0.03');
    expect(showUncertainty(0.03)).toBe('0.03');
    expect(showNumber(25.4, 'in')).toBe('1.000');
  });

  test('sums of shown parts stay exact', () => {
    expect(tidy(6.02 + 0.18 + 0.05)).toBe(6.25);
    expect(roundTo(6.02333, 0.01)).toBe(6.02);
    expect(roundTo(6.025, 0.01)).toBe(6.03);
    expect(roundTo(38.2, 0.05)).toBe(38.2);
  });
});

describe('units there and back', () => {
  const lengths = fc.double({ min: 0.01, max: 5000, noNaN: true });

  test('every display unit is read back to within half its last place', () => {
    fc.assert(
      fc.property(lengths, fc.constantFrom(...DISPLAY_UNITS), (length, unit) => {
        const typed = typedUnitOf(unit);
        // A fraction that is only near says so with a mark, which is not typed.
        const shown = showNumber(length, unit).replace('~', '');
        fc.pre(shown !== '0');
        const step =
          unit === 'fraction' ? MM_PER.in / 64 : MM_PER[typed] * { mm: 0.01, cm: 0.001, in: 0.001 }[typed];
        expect(Math.abs(mm(shown, typed) - length)).toBeLessThanOrEqual(step / 2 + 1e-9);
      }),
    );
  });

  test('every 64th of an inch is shown in lowest terms and read back as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 64 * 40 }), (parts) => {
        const shown = showNumber((parts * MM_PER.in) / 64, 'fraction');
        expect(shown).not.toMatch(/^~/);
        expect(mm(`${shown} in`)).toBeCloseTo((parts * 25.4) / 64, 9);
        const [, over, under] = /(\d+)\/(\d+)$/.exec(shown) ?? [];
        if (over) expect(Number(over) % 2).toBe(1);
        if (under) expect(Math.log2(Number(under)) % 1).toBe(0);
      }),
    );
  });

  test('angles, in degrees and in degrees and minutes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 36_000 }), (hundredths) => {
        const angle = ((hundredths / 100) * Math.PI) / 180;
        const read = parseAngle(`${showQuantity(angle, 'angle')}°`);
        expect(read.ok && read.value).toBeCloseTo(angle, 9);
        const [whole, minutes] = [Math.floor(hundredths / 100), (hundredths % 100) * 0.6];
        const again = parseAngle(`${whole}° ${minutes}'`);
        expect(again.ok && again.value).toBeCloseTo(angle, 9);
      }),
    );
  });

  test('mixed entry: a number’s own unit goes before the person’s', () => {
    for (const unit of ['mm', 'cm', 'in'] as const) {
      expect(mm('12.7 mm', unit)).toBe(12.7);
      expect(mm('1/2 in', unit)).toBeCloseTo(12.7, 9);
      expect(mm('1.27 cm', unit)).toBeCloseTo(12.7, 9);
    }
  });
});

describe('angles and counts', () => {
  test.each([
    ['45', 45],
    ['22,5°', 22.5],
    ["22° 30'", 22.5],
    ['30 deg', 30],
    ['-10', -10],
  ])('%j is %d degrees', (text, degrees) => {
    const read = parseAngle(text);
    expect(read.ok && (read.value * 180) / Math.PI).toBeCloseTo(degrees, 9);
  });

  test.each(['', '12 mm', 'right', '4 5 6', '1.2.3°'])('%j is no angle', (text) =>
    expect(parseAngle(text).ok).toBe(false),
  );

  test.each(['0', '-3', '2.5', '10001', 'six', ''])('%j is no count', (text) =>
    expect(parseCount(text).ok).toBe(false),
  );

  test('are shown with their own signs', () => {
    expect(showQuantity(Math.PI / 8, 'angle') + unitAfter('angle')).toBe('22.50°');
    expect(showQuantity(24, 'count') + unitAfter('count')).toBe('24');
    expect(showQuantity(-Math.PI / 2, 'angle')).toBe('\u221290.00');
    expect(showLength(30.1625, 'fraction')).toBe('1 3/16 in');
    expect(showNumber(30, 'fraction')).toBe('~1 3/16');
    expect(showNumber(-3.175, 'fraction')).toBe('\u22121/8');
    expect(showNumber(25.4, 'fraction')).toBe('1');
  });

  test('uncertainties are rounded up in each kind', () => {
    expect(showQuantityUncertainty(0.0001, 'angle')).toBe('0.01');
    expect(showQuantityUncertainty(0.021, 'length', 'cm')).toBe('0.003');
    expect(showQuantityUncertainty(0.0254, 'length', 'fraction')).toBe('0.0010');
  });
});

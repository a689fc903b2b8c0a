import fc from 'fast-check';

import { parseLength, roundTo, showNumber, showSigned, showUncertainty, tidy } from '@core/quantity';

const mm = (text: string, unit?: 'mm' | 'in') => {
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
    ['1,234.5', 'length.twoMarks'],
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

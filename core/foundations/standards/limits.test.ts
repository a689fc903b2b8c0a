import fc from 'fast-check';

import {
  DEVIATION_LETTERS,
  GRADES,
  limitsOf,
  readToleranceClass,
  SIZE_STEPS_MM,
  standardToleranceMm,
  SUGGESTED_PAIRS,
  toleranceFactorMm,
} from '@core/foundations/standards';

const micrometres = (mm: number) => Math.round(mm * 10_000) / 10;
function limits(toleranceClass: string, nominalMm: number): [number, number] {
  const found = limitsOf(toleranceClass, nominalMm)!;
  return [micrometres(found.upperMm), micrometres(found.lowerMm)];
}

describe('standard tolerances of ISO 286-1, table 1', () => {
  test.each([
    [7, 25, 21],
    [6, 25, 13],
    [11, 8, 90],
    [8, 45, 39],
    [5, 120, 15],
    [9, 3, 25],
    [12, 400, 570],
    [1, 2, 0.8],
    [18, 500, 9700],
    [14, 10, 360],
  ])('IT%d at %d mm is %d µm', (grade, size, expected) =>
    expect(micrometres(standardToleranceMm(grade, size))).toBe(expected),
  );

  test('a limit of a step belongs to the step below it', () => {
    expect(standardToleranceMm(7, 30)).toBe(0.021);
    expect(standardToleranceMm(7, 30.001)).toBe(0.025);
  });

  test.each([
    [7, 0],
    [7, 501],
    [19, 20],
    [0, 20],
  ])('IT%d at %d mm is not defined', (grade, size) =>
    expect(() => standardToleranceMm(grade, size)).toThrow(RangeError),
  );

  test('grades 6 to 16 follow the factor i at the middle of their step, within its rounding', () => {
    const multiples = [10, 16, 25, 40, 64, 100, 160, 250, 400, 640, 1000];
    for (const [place, multiple] of multiples.entries()) {
      for (const [index, upTo] of SIZE_STEPS_MM.entries()) {
        // The first step has a rule of its own for its middle: 1 to 3 mm.
        const middle = Math.sqrt((SIZE_STEPS_MM[index - 1] ?? 1) * upTo);
        const computed = multiple * toleranceFactorMm(middle) * 1000;
        const tabled = standardToleranceMm(6 + place, upTo) * 1000;
        expect(Math.abs(tabled / computed - 1)).toBeLessThan(index === 0 ? 0.16 : 0.1);
      }
    }
  });

  test('are wider for each coarser grade and never narrower for a larger size', () => {
    for (const upTo of SIZE_STEPS_MM) {
      const widths = GRADES.map((grade) => standardToleranceMm(grade, upTo));
      expect(widths).toEqual([...widths].sort((a, b) => a - b));
    }
  });
});

describe('limit deviations of ISO 286-1 and -2', () => {
  test.each([
    // Holes and shafts of the usual pairs at 25 mm.
    ['H7', 25, 21, 0],
    ['g6', 25, -7, -20],
    ['h6', 25, 0, -13],
    ['f7', 25, -20, -41],
    ['d9', 25, -65, -117],
    ['c11', 25, -110, -240],
    ['k6', 25, 15, 2],
    ['n6', 25, 28, 15],
    ['p6', 25, 35, 22],
    ['s6', 25, 48, 35],
    ['js7', 25, 10.5, -10.5],
    // Other sizes.
    ['g6', 6, -4, -12],
    ['f7', 3, -6, -16],
    ['e8', 50, -50, -89],
    ['k6', 40, 18, 2],
    ['m6', 40, 25, 9],
    ['p6', 100, 59, 37],
    ['c11', 100, -170, -390],
    ['a11', 30, -300, -430],
    ['k8', 25, 33, 0],
    // Holes, with the standard's Δ for K, M, N and P.
    ['F8', 25, 53, 20],
    ['K7', 25, 6, -15],
    ['M7', 25, 0, -21],
    ['N7', 25, -7, -28],
    ['P7', 25, -14, -35],
    ['S7', 25, -27, -48],
    ['JS7', 25, 10.5, -10.5],
    ['K7', 3, 0, -10],
    ['P6', 10, -12, -21],
    ['N9', 25, 0, -52],
    ['N9', 3, -4, -29],
    ['M6', 300, -9, -41],
    ['H11', 500, 400, 0],
  ])('%s at %d mm: %d to %d µm', (toleranceClass, size, upper, lower) =>
    expect(limits(toleranceClass, size)).toEqual([upper, lower]),
  );

  test.each(['', 'H', '7', 'H7g6', 'i7', 'H0', 'H19', 'h 7', 'q6', 'Ω7'])(
    '%j is no tolerance class',
    (text) => expect(readToleranceClass(text)).toBeNull(),
  );

  test('sizes outside the standard have none', () => {
    for (const size of [0, -5, 500.1, Number.NaN]) expect(limitsOf('H7', size)).toBeNull();
  });

  test('every class is as wide as its grade, and a hole H starts at the size', () => {
    const letters = fc.constantFrom(...DEVIATION_LETTERS);
    const grades = fc.constantFrom(5, 6, 7, 8, 9, 10, 11);
    fc.assert(
      fc.property(letters, grades, fc.double({ min: 0.1, max: 500, noNaN: true }), (letter, grade, size) => {
        for (const written of [letter, letter.toUpperCase()]) {
          const found = limitsOf(`${written}${grade}`, size);
          if (!found) continue;
          expect(found.upperMm - found.lowerMm).toBeCloseTo(standardToleranceMm(grade, size), 9);
        }
        expect(limitsOf(`H${grade}`, size)!.lowerMm).toBe(0);
        expect(limitsOf(`h${grade}`, size)!.upperMm).toBeCloseTo(0, 12);
      }),
    );
  });

  test('suggested pairs go from loose to pressed at every size', () => {
    for (const size of [4, 25, 90, 400]) {
      const middles = SUGGESTED_PAIRS.map(({ hole, shaft }) => {
        const [h, s] = [limitsOf(hole, size)!, limitsOf(shaft, size)!];
        return h.upperMm + h.lowerMm - s.upperMm - s.lowerMm;
      });
      expect(middles).toEqual([...middles].sort((a, b) => b - a));
    }
  });
});

import { ownValue } from '@core/foundations/own';

import { GRADES, sizeStep, standardToleranceMm } from './toleranceGrades';

/** Limit deviations from the nominal size, mm. */
export interface Limits {
  upperMm: number;
  lowerMm: number;
}

/** Steps of sizes of Tables 4 and 5 of ISO 286-1, finer than those of the grades from r and c on. */
const FINE_STEPS_MM = [
  3, 6, 10, 14, 18, 24, 30, 40, 50, 65, 80, 100, 120, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450,
  500,
] as const;

/**
 * Fundamental deviations of shafts, micrometres, by FINE_STEPS_MM: ISO 286-1:2010, Tables 4 (a to g, upper
 * deviation, below zero) and 5 (k to u, lower deviation). Null where the standard gives none.
 */
const SHAFTS: Readonly<Record<string, readonly (number | null)[]>> = {
  a: [
    270, 270, 280, 290, 290, 300, 300, 310, 320, 340, 360, 380, 410, 460, 520, 580, 660, 740, 820, 920, 1050,
    1200, 1350, 1500, 1650,
  ],
  b: [
    140, 140, 150, 150, 150, 160, 160, 170, 180, 190, 200, 220, 240, 260, 280, 310, 340, 380, 420, 480, 540,
    600, 680, 760, 840,
  ],
  c: [
    60, 70, 80, 95, 95, 110, 110, 120, 130, 140, 150, 170, 180, 200, 210, 230, 240, 260, 280, 300, 330, 360,
    400, 440, 480,
  ],
  d: spread([20, 30, 40, 50, 65, 80, 100, 120, 145, 170, 190, 210, 230]),
  e: spread([14, 20, 25, 32, 40, 50, 60, 72, 85, 100, 110, 125, 135]),
  f: spread([6, 10, 13, 16, 20, 25, 30, 36, 43, 50, 56, 62, 68]),
  g: spread([2, 4, 5, 6, 7, 9, 10, 12, 14, 15, 17, 18, 20]),
  h: spread(Array.from({ length: 13 }, () => 0)),
  k: spread([0, 1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5]),
  m: spread([2, 4, 6, 7, 8, 9, 11, 13, 15, 17, 20, 21, 23]),
  n: spread([4, 8, 10, 12, 15, 17, 20, 23, 27, 31, 34, 37, 40]),
  p: spread([6, 12, 15, 18, 22, 26, 32, 37, 43, 50, 56, 62, 68]),
  r: [10, 15, 19, 23, 23, 28, 28, 34, 34, 41, 43, 51, 54, 63, 65, 68, 77, 80, 84, 94, 98, 108, 114, 126, 132],
  s: [
    14, 19, 23, 28, 28, 35, 35, 43, 43, 53, 59, 71, 79, 92, 100, 108, 122, 130, 140, 158, 170, 190, 208, 232,
    252,
  ],
  t: [
    null,
    null,
    null,
    null,
    null,
    null,
    41,
    48,
    54,
    66,
    75,
    91,
    104,
    122,
    134,
    146,
    166,
    180,
    196,
    218,
    240,
    268,
    294,
    330,
    360,
  ],
  u: [
    18, 23, 28, 33, 33, 41, 48, 60, 70, 87, 102, 124, 144, 170, 190, 210, 236, 258, 284, 315, 350, 390, 435,
    490, 540,
  ],
};

/** A row by the thirteen steps of the grades, laid out by the finer steps. */
function spread(row: readonly number[]): number[] {
  return FINE_STEPS_MM.map((upTo) => row[sizeStep(upTo)]!);
}

/** Letters that a hole (in capitals) or a shaft may have here. */
export const DEVIATION_LETTERS = [...Object.keys(SHAFTS), 'js'];

/** A tolerance class taken apart: `H7` is a hole, `H`, grade 7. Null if it is not one that is known here. */
export function readToleranceClass(text: string): { hole: boolean; letter: string; grade: number } | null {
  const parts = /^([A-Z]{1,2}|[a-z]{1,2})(\d{1,2})$/.exec(text.trim());
  if (!parts) return null;
  const letter = parts[1]!.toLowerCase();
  const grade = Number(parts[2]);
  if (!DEVIATION_LETTERS.includes(letter) || !GRADES.includes(grade)) return null;
  return { hole: parts[1] !== letter, letter, grade };
}

/**
 * Limit deviations of a tolerance class for a nominal size, ISO 286-1:2010, clause 4.3. Holes mirror shafts:
 * A to H by EI = −es; K, M, N up to IT8 and P to U up to IT7 by ES = −ei + Δ with Δ = ITn − IT(n−1), over 3 mm;
 * coarser ones without Δ.
 *
 * @returns null for what the standard does not give: an unknown class, a size outside 0 to 500 mm.
 */
export function limitsOf(toleranceClass: string, nominalMm: number): Limits | null {
  const read = readToleranceClass(toleranceClass);
  if (!read || !(nominalMm > 0) || nominalMm > 500) return null;
  const { hole, letter, grade } = read;
  const tolerance = standardToleranceMm(grade, nominalMm);
  if (letter === 'js') return { upperMm: tolerance / 2, lowerMm: -tolerance / 2 };
  const tabled = ownValue(SHAFTS, letter)![sizeStep(nominalMm, FINE_STEPS_MM)];
  if (tabled === null || tabled === undefined) return null;
  const deviation = tabled / 1000;
  const loose = letter <= 'h';
  if (!hole) {
    if (loose) return { upperMm: 0 - deviation, lowerMm: 0 - deviation - tolerance };
    // k lies at zero outside grades 4 to 7.
    const lower = letter === 'k' && (grade < 4 || grade > 7) ? 0 : deviation;
    return { upperMm: lower + tolerance, lowerMm: lower };
  }
  if (loose) return { upperMm: deviation + tolerance, lowerMm: deviation };
  const upper = upperOfTightHole(letter, grade, nominalMm, deviation);
  return { upperMm: upper, lowerMm: upper - tolerance };
}

function upperOfTightHole(letter: string, grade: number, nominalMm: number, deviation: number): number {
  const withDelta = nominalMm > 3 && grade >= 2 && grade <= (letter <= 'n' ? 8 : 7);
  const delta = withDelta
    ? standardToleranceMm(grade, nominalMm) - standardToleranceMm(grade - 1, nominalMm)
    : 0;
  // The standard's one exception: M6 over 250 up to 315 mm is −9, not −11.
  if (letter === 'm' && grade === 6 && nominalMm > 250 && nominalMm <= 315) return -0.009;
  if (letter === 'k' && grade > 8) return 0;
  if (letter === 'n' && grade > 8) return nominalMm > 3 ? 0 : -0.004;
  return -deviation + delta;
}

/** A pair of tolerance classes on the hole basis that is often used, with what it is for. */
export interface SuggestedPair {
  hole: string;
  shaft: string;
  words: string;
}

/** Preferred fits on the hole basis (ISO 286-1:2010, Figure B.1 and clause B.3), loosest first. */
export const SUGGESTED_PAIRS: readonly SuggestedPair[] = [
  { hole: 'H11', shaft: 'c11', words: 'rattles; dirt does not stop it' },
  { hole: 'H9', shaft: 'd9', words: 'turns freely, for pulleys and long bearings' },
  { hole: 'H8', shaft: 'f7', words: 'turns, with a film of oil' },
  { hole: 'H7', shaft: 'g6', words: 'slides and turns closely' },
  { hole: 'H7', shaft: 'h6', words: 'goes together by hand, without play' },
  { hole: 'H7', shaft: 'k6', words: 'goes together with a light tap' },
  { hole: 'H7', shaft: 'n6', words: 'goes together with a mallet' },
  { hole: 'H7', shaft: 'p6', words: 'pressed' },
  { hole: 'H7', shaft: 's6', words: 'pressed hard, stays for good' },
];

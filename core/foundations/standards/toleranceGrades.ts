/**
 * Standard tolerances after ISO 286-1:2010, Table 1, in micrometres, for sizes over 0 up to 500 mm.
 * The table is the standard; its grades IT6 and coarser follow the factor i of toleranceFactor.ts (10i, 16i, 25i,
 * 40i, 64i, 100i, …), rounded, which a test holds against it.
 */
export const SIZE_STEPS_MM = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500] as const;

const IT: Readonly<Record<number, readonly number[]>> = {
  1: [0.8, 1, 1, 1.2, 1.5, 1.5, 2, 2.5, 3.5, 4.5, 6, 7, 8],
  2: [1.2, 1.5, 1.5, 2, 2.5, 2.5, 3, 4, 5, 7, 8, 9, 10],
  3: [2, 2.5, 2.5, 3, 4, 4, 5, 6, 8, 10, 12, 13, 15],
  4: [3, 4, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20],
  5: [4, 5, 6, 8, 9, 11, 13, 15, 18, 20, 23, 25, 27],
  6: [6, 8, 9, 11, 13, 16, 19, 22, 25, 29, 32, 36, 40],
  7: [10, 12, 15, 18, 21, 25, 30, 35, 40, 46, 52, 57, 63],
  8: [14, 18, 22, 27, 33, 39, 46, 54, 63, 72, 81, 89, 97],
  9: [25, 30, 36, 43, 52, 62, 74, 87, 100, 115, 130, 140, 155],
  10: [40, 48, 58, 70, 84, 100, 120, 140, 160, 185, 210, 230, 250],
  11: [60, 75, 90, 110, 130, 160, 190, 220, 250, 290, 320, 360, 400],
  12: [100, 120, 150, 180, 210, 250, 300, 350, 400, 460, 520, 570, 630],
  13: [140, 180, 220, 270, 330, 390, 460, 540, 630, 720, 810, 890, 970],
  14: [250, 300, 360, 430, 520, 620, 740, 870, 1000, 1150, 1300, 1400, 1550],
  15: [400, 480, 580, 700, 840, 1000, 1200, 1400, 1600, 1850, 2100, 2300, 2500],
  16: [600, 750, 900, 1100, 1300, 1600, 1900, 2200, 2500, 2900, 3200, 3600, 4000],
  17: [1000, 1200, 1500, 1800, 2100, 2500, 3000, 3500, 4000, 4600, 5200, 5700, 6300],
  18: [1400, 1800, 2200, 2700, 3300, 3900, 4600, 5400, 6300, 7200, 8100, 8900, 9700],
};

export const GRADES = Object.keys(IT).map(Number);

/** Number of the step of sizes that a size falls in: over the one before, up to and including its own. */
export function sizeStep(sizeMm: number, steps: readonly number[] = SIZE_STEPS_MM): number {
  return steps.findIndex((upTo) => sizeMm <= upTo);
}

/** Standard tolerance of a grade for a size over 0 up to 500 mm, mm. Throws outside the table. */
export function standardToleranceMm(grade: number, sizeMm: number): number {
  const value = sizeMm > 0 ? IT[grade]?.[sizeStep(sizeMm)] : undefined;
  if (value === undefined) throw new RangeError(`IT${grade} is not defined for ${sizeMm} mm`);
  return value / 1000;
}

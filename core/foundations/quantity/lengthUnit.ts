export type LengthUnit = 'mm' | 'cm' | 'in';

/** Millimetres in one of each unit. The inch is exactly 25.4 mm (ISO 80000-3). */
export const MM_PER: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };
/** The foot is 12 inches. */
export const INCHES_PER_FOOT = 12;

import type { Material } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

/** What a material bears, as shares of its yield stress. */
export interface Bearing {
  /** Stress at yield (ISO 527, 23 °C, dry), or 0.2 % proof stress, of the solid material, MPa. */
  yieldMpa: number;
  /** What a well printed bar bears of that along its layers; 1 of what is not printed. */
  printed: number;
  /** What it bears of it again and again (10⁶ times), and for months. */
  repeated: number;
  lasting: number;
  /** What it bears of it soaked in water. */
  wet: number;
}

/**
 * Yield by ISO 527 and its shares: middle of data sheets. Repeated: stress at 10⁶ cycles, R = 0 (ISO 13003; metals by EN 1993-1-9 and EN 1999-1-3 for plain
 * bars; wood by EN 1995-2, annex A). Lasting: creep to 1 % or rupture in 1,000 hours, whichever is less (ISO 899-1); of metals 0.66 of the yield, the
 * usual stress of buildings; of wood kmod for permanent loads (EN 1995-1-1, table 3.1). Printed: bars laid flat against moulded ones (ISO 527-2).
 */
const BEARING: Readonly<Record<string, Bearing>> = {
  petg: { yieldMpa: 50, printed: 0.85, repeated: 0.4, lasting: 0.3, wet: 0.95 },
  pla: { yieldMpa: 60, printed: 0.85, repeated: 0.35, lasting: 0.25, wet: 0.9 },
  abs: { yieldMpa: 43, printed: 0.8, repeated: 0.38, lasting: 0.28, wet: 0.97 },
  asa: { yieldMpa: 45, printed: 0.8, repeated: 0.38, lasting: 0.28, wet: 0.97 },
  pa12: { yieldMpa: 45, printed: 0.85, repeated: 0.5, lasting: 0.3, wet: 0.8 },
  pp: { yieldMpa: 33, printed: 0.8, repeated: 0.5, lasting: 0.25, wet: 1 },
  pc: { yieldMpa: 63, printed: 0.8, repeated: 0.35, lasting: 0.3, wet: 0.95 },
  pvc: { yieldMpa: 55, printed: 0.8, repeated: 0.35, lasting: 0.3, wet: 1 },
  pom: { yieldMpa: 66, printed: 0.75, repeated: 0.45, lasting: 0.3, wet: 0.97 },
  // It has no yield: stress at a strain of a quarter.
  tpu: { yieldMpa: 8, printed: 0.85, repeated: 0.5, lasting: 0.25, wet: 0.9 },
  resin: { yieldMpa: 42, printed: 1, repeated: 0.35, lasting: 0.25, wet: 0.85 },
  aluminium: { yieldMpa: 250, printed: 1, repeated: 0.7, lasting: 0.66, wet: 1 },
  brass: { yieldMpa: 233, printed: 1, repeated: 0.7, lasting: 0.66, wet: 1 },
  steel: { yieldMpa: 235, printed: 1, repeated: 0.7, lasting: 0.66, wet: 1 },
  stainless: { yieldMpa: 200, printed: 1, repeated: 0.7, lasting: 0.66, wet: 1 },
  beech: { yieldMpa: 50, printed: 1, repeated: 0.65, lasting: 0.6, wet: 0.7 },
  plywood: { yieldMpa: 30, printed: 1, repeated: 0.65, lasting: 0.6, wet: 0.7 },
};

/** Of one that nobody has measured, by its family: the least of those that are known. */
const OF_FAMILY: Readonly<Record<Material['family'], Omit<Bearing, 'yieldMpa'>>> = {
  plastic: { printed: 0.75, repeated: 0.35, lasting: 0.25, wet: 0.8 },
  soft: { printed: 0.8, repeated: 0.4, lasting: 0.25, wet: 0.9 },
  resin: { printed: 1, repeated: 0.35, lasting: 0.25, wet: 0.85 },
  metal: { printed: 1, repeated: 0.7, lasting: 0.66, wet: 1 },
  wood: { printed: 1, repeated: 0.65, lasting: 0.6, wet: 0.7 },
};

/**
 * How far the curve of a plastic bends away from its modulus before it yields: yield stress over modulus times yield strain, the least of those that are
 * known (PP, 0.29). Metals go straight up to it; `strain` is half of that at yield.
 */
const BENDS_AWAY: Readonly<Record<Material['family'], number>> = {
  plastic: 0.29,
  soft: 0.29,
  resin: 0.45,
  metal: 1,
  wood: 1,
};

/** Yield stress of a material that ships with the app, MPa. */
export const yieldOf = (materialId: string): number | undefined => ownValue(BEARING, materialId)?.yieldMpa;

/** What a material bears; `isEstimated` where its yield stress stands in no row and in no table. */
export function bearingOf(
  material: Pick<Material, 'id' | 'family' | 'modulusMpa' | 'strain' | 'yieldMpa'>,
): Bearing & { isEstimated: boolean } {
  const known = ownValue(BEARING, material.id);
  const shares = known ?? OF_FAMILY[material.family];
  if (material.yieldMpa !== undefined) return { ...shares, yieldMpa: material.yieldMpa, isEstimated: false };
  if (known) return { ...known, isEstimated: false };
  const yieldMpa = 2 * material.strain * material.modulusMpa * BENDS_AWAY[material.family];
  return { ...shares, yieldMpa, isEstimated: true };
}

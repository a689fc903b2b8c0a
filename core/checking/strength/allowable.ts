import type { Heat, Lasting } from '@core/foundations/fields';
import type { Material } from '@core/record/model';
import { bearingOf } from '@core/record/workshop';

/** What a part has to stand where it is used. */
export interface Service {
  lasts: Lasting;
  /** How warm it gets, °C. */
  warmC: number;
  wet: boolean;
  /** Safety factor: 2 for a jig, 3 for a tool, 4 where somebody could be hurt. */
  safety: number;
}

/** Warmest of what a brief says, °C; a room where nothing is said. */
export const ROOM_C = 23;
const HEATS_C: Record<Heat, number> = { room: ROOM_C, warm: 50, hot: 80, boiling: 100 };
export const warmthOf = (heat: Heat | null): number => (heat === null ? ROOM_C : HEATS_C[heat]);

export const SAFETY_FACTORS = [2, 3, 4] as const;
export const USUAL_SERVICE: Service = { lasts: 'repeated', warmC: ROOM_C, wet: false, safety: 2 };

/** An allowable stress and how it comes about: they multiply, and are divided by the safety factor. */
export interface Allowable {
  /** Along the layers, MPa. */
  alongMpa: number;
  yieldMpa: number;
  /** No row and no table says the yield stress: it is estimated, low. */
  isEstimated: boolean;
  shares: { printed: number; lasting: number; warm: number; wet: number };
  safety: number;
}

/** What is left of a plastic's strength where it gives under a light load (ISO 75, 0.45 MPa). */
const LEFT_WHERE_IT_SOFTENS = 0.15;

/**
 * Allowable stress: yield stress × what it bears of it so long, so warm and so wet, over the safety factor. Warmth takes strength in a straight line
 * from a room to where the plastic softens, where 0.15 is left (guidance: below the curves of ISO 527 at higher temperatures in data sheets), and all
 * of it beyond.
 *
 * PP, printed or not, 33 MPa, again and again, solid, safety factor 1: 16.5 MPa.
 *
 * @param isPrinted it is made in layers of strands.
 */
export function allowableOf(material: Material, service: Service, isPrinted: boolean): Allowable {
  const bearing = bearingOf(material);
  const shares = {
    printed: isPrinted ? bearing.printed : 1,
    lasting: service.lasts === 'once' ? 1 : bearing[service.lasts],
    warm: leftAt(service.warmC, material.softensAtC),
    wet: service.wet ? bearing.wet : 1,
  };
  const { yieldMpa, isEstimated } = bearing;
  const left = shares.printed * shares.lasting * shares.warm * shares.wet;
  return {
    alongMpa: (yieldMpa * left) / service.safety,
    yieldMpa,
    isEstimated,
    shares,
    safety: service.safety,
  };
}

function leftAt(warmC: number, softensAtC: number | null): number {
  if (softensAtC === null || warmC <= ROOM_C) return 1;
  if (warmC > softensAtC) return NOTHING_LEFT;
  return 1 - (1 - LEFT_WHERE_IT_SOFTENS) * ((warmC - ROOM_C) / Math.max(1, softensAtC - ROOM_C));
}

/** Beyond where it softens it bears next to nothing; not nought, so that what it bears can be divided by. */
const NOTHING_LEFT = 0.001;

import type { Thread } from './threads';

/**
 * The section of a thread as it is modelled: flat crests and roots, straight flanks. Radii and widths in mm.
 *
 * ISO 68-1 for metric and unified threads (60°, crest P/8, height 5/8 H with H = P √3/2); ISO 228-1 for pipe threads
 * (55°, height 0.640327 P), whose rounded crests and roots are modelled as flats of P/6.
 */
export interface ThreadForm {
  pitchMm: number;
  /** Half of the angle between the flanks, radians. */
  flank: number;
  majorMm: number;
  /** Width of the ridge at its crest. */
  crestMm: number;
  /** Height of the ridge. */
  heightMm: number;
}

export function threadForm({ name, majorMm, pitchMm }: Thread): ThreadForm {
  if (name.startsWith('G ')) {
    return {
      pitchMm,
      majorMm,
      flank: (27.5 * Math.PI) / 180,
      crestMm: pitchMm / 6,
      heightMm: 0.640327 * pitchMm,
    };
  }
  return {
    pitchMm,
    majorMm,
    flank: Math.PI / 6,
    crestMm: pitchMm / 8,
    heightMm: (5 / 8) * (Math.sqrt(3) / 2) * pitchMm,
  };
}

/** The ridge of a thread from its core to its crest, with play taken off it (outside) or added (inside), mm. */
export interface Ridge {
  coreRadius: number;
  crestRadius: number;
  /** Half widths of the ridge, along the axis. */
  coreHalf: number;
  crestHalf: number;
}

/** Ridges thinner than this at the crest end in an edge the kernel can't hold, as a share of the pitch. */
const THINNEST = 0.02;
/** A ridge lower than this share of its height does not hold. */
const LOWEST = 0.4;

/**
 * The ridge after play, measured square to its faces; null where nothing is left that would hold.
 * Half width at radius r: w(r) = crest/2 + (R − r) tan β ∓ play / cos β.
 */
export function ridgeOf(form: ThreadForm, side: 'outside' | 'inside', playMm: number): Ridge | null {
  const sign = side === 'outside' ? -1 : 1;
  const [tan, cos] = [Math.tan(form.flank), Math.cos(form.flank)];
  const radius = form.majorMm / 2;
  const halfAt = (r: number) => form.crestMm / 2 + (radius - r) * tan + (sign * playMm) / cos;
  const coreRadius = radius - form.heightMm + sign * playMm;
  // Where the flanks have come too near to each other the crest is lower.
  const thinnestAt = radius + (form.crestMm / 2 + (sign * playMm) / cos - THINNEST * form.pitchMm) / tan;
  const crestRadius = Math.min(radius + sign * playMm, thinnestAt);
  const coreHalf = halfAt(coreRadius);
  const holds =
    crestRadius - coreRadius >= LOWEST * form.heightMm && coreHalf < (0.5 - THINNEST) * form.pitchMm;
  return holds && coreRadius > 0
    ? { coreRadius, crestRadius, coreHalf, crestHalf: halfAt(crestRadius) }
    : null;
}

/**
 * Area of a section square to the axis, mm², up to a radius: it is the same at every height, only turned.
 * A = π r₁² + (1/P) ∫ 2 w(r) 2π r dr.
 */
export function threadArea({ pitchMm }: ThreadForm, ridge: Ridge, upTo = ridge.crestRadius): number {
  const { coreRadius: a, crestRadius, coreHalf, crestHalf } = ridge;
  const b = Math.min(Math.max(upTo, a), crestRadius);
  const slope = (crestHalf - coreHalf) / (crestRadius - a);
  // ∫ (w₀ + s (r − a)) r dr in closed form.
  const integral = ((coreHalf - slope * a) * (b * b - a * a)) / 2 + (slope * (b ** 3 - a ** 3)) / 3;
  return Math.PI * Math.min(a, Math.max(upTo, 0)) ** 2 + (4 * Math.PI * integral) / pitchMm;
}

import { gearRadii, halfToothAngle, type GearTeeth } from './gearTeeth';

/**
 * How wide a tooth may be at a radius without its foot standing in the way of a mate's tip: half angle, radians. The corner of
 * a rack that rolls on the pitch circle, one module above its own middle (ISO 53), runs in the frame of the gear along
 * ψ(r) = u₀ / r₀ − (arctan(w / h) − w / r₀), with h = r₀ − m (1 − x) the nearest it comes to the middle, w = √(r² − h²) and
 * u₀ = m (π/4 + tan α). A rack reaches further into the feet than any wheel does. Infinite below h, where nothing comes.
 *
 * Worked example: 6 teeth of module 1 at 20°, no shift: h = 2, u₀ = 1.1494; at r = 2.5, w = 1.5 and
 * ψ = 0.3831 − (0.6435 − 0.5) = 0.2396.
 */
export function roomForTip(gear: GearTeeth, radius: number): number {
  const { module, pressure, shift } = gear;
  const { pitch } = gearRadii(gear);
  const nearest = pitch - module * (1 - shift);
  if (nearest <= 0 || radius <= nearest) return Infinity;
  const along = Math.sqrt(radius ** 2 - nearest ** 2);
  const start = module * (Math.PI / 4 + Math.tan(pressure));
  return start / pitch - (Math.atan2(along, nearest) - along / pitch);
}

/** Where a tooth with few others is cut in under its flank. */
export interface Undercut {
  /** Nearest to the middle that a mate's tip comes, mm. */
  nearest: number;
  /** Radius at which the flank begins that is left, mm. */
  begin: number;
}

/** Radii looked at between the foot and the tip; the undercut ends where the flank has come out of it for good. */
const LOOKED_AT = 200;
const HALVINGS = 50;

/** The undercut of an outside gear; null where its feet are out of the way, as with 17 teeth and more at 20°. */
export function undercutOf(gear: GearTeeth): Undercut | null {
  if (gear.side !== 'outside') return null;
  const { pitch, base, tip, root } = gearRadii(gear);
  const nearest = Math.max(pitch - gear.module * (1 - gear.shift), root);
  // Below the base circle a foot without undercut goes straight in.
  const own = (radius: number) => halfToothAngle(gear, Math.max(radius, base));
  const inTheWay = (radius: number) => roomForTip(gear, radius) < own(radius) - LEAST_ANGLE;
  let last: number | null = null;
  for (let index = 1; index < LOOKED_AT; index += 1) {
    const radius = nearest + ((tip - nearest) * index) / LOOKED_AT;
    if (inTheWay(radius)) last = radius;
  }
  if (last === null) return null;
  let [low, high] = [last, Math.min(tip, last + (tip - nearest) / LOOKED_AT)];
  for (let count = 0; count < HALVINGS; count += 1) {
    const middle = (low + high) / 2;
    if (inTheWay(middle)) low = middle;
    else high = middle;
  }
  return { nearest, begin: high };
}

/** An angle that is none, radians: a thousandth of a micrometre on a wheel of a metre. */
const LEAST_ANGLE = 1e-9;

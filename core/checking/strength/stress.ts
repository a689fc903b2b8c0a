import type { FlatSection, SectionProperties } from './section';
import { twistProperties } from './twist';

/** What a section does under a load. */
export interface Stress {
  /** Largest pull or push square to the section, MPa. */
  normalMpa: number;
  /** Mean of what shears it, half as much again as in a rectangle's middle, MPa. */
  shearMpa: number;
  /** Of the two together, by the energy of distortion, MPa. */
  togetherMpa: number;
  /** The way in its plane along which a load is worst, radians from its x; null where it does not matter. */
  way: number | null;
}

/** Ways that are tried for the worst. */
const WAYS = 72;

/**
 * Stress where a load square to a beam bends it: σ = M c / I with both axes at once,
 * σ = [(Mx Iyy + My Ixy) y − (My Ixx + Mx Ixy) x] / (Ixx Iyy − Ixy²) for a section without symmetry (Timoshenko), τ = 1.5 F / A.
 *
 * @param way of the load in the section's plane, radians from its x.
 */
export function bentBy(
  section: FlatSection,
  own: SectionProperties,
  forceN: number,
  leverMm: number,
  way: number,
): Stress {
  const { ixx, iyy, ixy, areaMm2 } = own;
  // A load along y bends about x, and one along x about y.
  const [mx, my] = [forceN * leverMm * Math.sin(way), -forceN * leverMm * Math.cos(way)];
  const [overY, overX] = [mx * iyy + my * ixy, my * ixx + mx * ixy];
  const divisor = ixx * iyy - ixy * ixy;
  let normalMpa = 0;
  for (const [x, y] of section.points) {
    const at = (overY * (y - own.middle[1]) - overX * (x - own.middle[0])) / divisor;
    normalMpa = Math.max(normalMpa, Math.abs(at));
  }
  return together(normalMpa, (1.5 * forceN) / areaMm2, way);
}

/** As bentBy, along the way in which it bears least. */
export function bentWorst(
  section: FlatSection,
  own: SectionProperties,
  forceN: number,
  leverMm: number,
): Stress {
  const tried = Array.from({ length: WAYS }, (_, turn) =>
    bentBy(section, own, forceN, leverMm, (turn * Math.PI) / WAYS),
  );
  return tried.reduce((worst, one) => (one.normalMpa > worst.normalMpa ? one : worst));
}

/** Pulled or pushed through the middle of the section: σ = F / A. */
export const pulledBy = ({ areaMm2 }: SectionProperties, forceN: number): Stress =>
  together(forceN / areaMm2, 0, null);

/** Twisted by a torque, N mm: τ = T / W, with W from Prandtl's stress function. */
export function twistedBy(section: FlatSection, torqueNmm: number): Stress {
  const own = twistProperties(section);
  return together(0, own ? torqueNmm / own.modulus : Infinity, null);
}

function together(normalMpa: number, shearMpa: number, way: number | null): Stress {
  // What shears is nothing where what bends is most: the larger of both ends, not their sum at one place.
  const togetherMpa = Math.max(normalMpa, Math.sqrt(3) * shearMpa);
  return { normalMpa, shearMpa, togetherMpa, way };
}

/**
 * Stress that a material bears again and again when it is pulled at an angle to its layers, MPa: along them, across them, and between by
 * an ellipse of both.
 *
 * @param along MPa along the layers.
 * @param across share of it across them; 1 of what has no layers.
 * @param angle between the pull and the layers, radians.
 */
export const borne = (along: number, across: number, angle: number): number =>
  along / Math.hypot(Math.cos(angle), Math.sin(angle) / across);

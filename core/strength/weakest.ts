import { cross, minus, type Vec3, type WeldedMesh } from '@core/part';

import { axesOf, cutSection, middleInPart, type AxisPlane, type CutSection } from './cutSection';
import { borne } from './stress';

/** A load on a part that is held elsewhere. N and mm, in the part's own frame. */
export interface HeldLoad {
  forceN: number;
  /** The way that it pulls or pushes, of length 1. */
  way: Vec3;
  /** Where it acts, and where the part is held against it. */
  at: Vec3;
  heldAt: Vec3;
}

/** What the part is made of. */
export interface Made {
  /** Stress that it bears again and again along its layers, MPa. */
  alongMpa: number;
  /** Share of that across its layers; 1 of what has none. */
  across: number;
  /** The way that lies on the bed, of length 1; null of what has no layers. */
  down: Vec3 | null;
}

/** The section between load and hold that bears least. */
export interface Weakest {
  plane: AxisPlane;
  section: CutSection;
  /** Largest stress there, MPa, and what is borne there. */
  stressMpa: number;
  borneMpa: number;
  /** The force that it bears, N, and how many times the load that is. */
  mostN: number;
  times: number;
  /** Its layers are pulled apart there, so that it bears clearly less. */
  isAcross: boolean;
  /** By how much it would have to be thicker along the way that it is bent, as a factor; null if it bears it. */
  thicker: number | null;
  /** The way in its plane along which it is bent, of length 1, as its edge counts; null where it is rather pulled or sheared. */
  bentAlong: readonly [number, number] | null;
  /** From the load, square to the way it pulls, mm. */
  leverMm: number;
  /** Share of the twisting moment in all moments there, 0 to 1: twisting is not counted. */
  twisted: number;
}

/** Planes along each axis between load and hold. */
const PLANES = 48;
/** Planes so far from the very ends, mm: there a face lies in them. */
const FROM_END_MM = 0.013;
/** More than this share of the stress from bending, and it is bending that a thicker section mends. */
const MOSTLY = 0.5;
/** Below this share of what is borne along the layers, it is said that they are pulled apart. */
const CLEARLY = 0.95;
/** Load and hold nearer than this along an axis have nothing between them there, mm. */
const LEAST_MM = 1;

/**
 * Looks for the weakest section between where a part is loaded and where it is held: cut square to its three axes at many places, each bent, pulled and
 * sheared as a slender beam is (σ = N / A + M c / I with both axes at once, τ = 1.5 V / A; see `bentBy`). Planes that cut through several pieces of
 * material are passed over: which of them bears what, beams do not tell. Guidance; twisting is not counted, but told.
 *
 * @param mesh closed, its corners shared.
 * @returns null where nothing lies between the two that could be cut.
 */
export function weakestSection(mesh: WeldedMesh, load: HeldLoad, made: Made): Weakest | null {
  let weakest: Weakest | null = null;
  for (const axis of [0, 1, 2] as const) {
    const [from, to] = [load.at[axis], load.heldAt[axis]];
    if (Math.abs(to - from) < LEAST_MM) continue;
    const inwards = Math.sign(to - from) * FROM_END_MM;
    for (let step = 0; step <= PLANES; step += 1) {
      const plane = { axis, at: from + inwards + ((to - from - 2 * inwards) * step) / PLANES };
      const section = cutSection(mesh, plane);
      if (!section || section.pieces !== 1) continue;
      const one = bears(section, plane, load, made);
      if (!weakest || one.times < weakest.times) weakest = one;
    }
  }
  return weakest;
}

function bears(section: CutSection, plane: AxisPlane, load: HeldLoad, made: Made): Weakest {
  const { axis } = plane;
  const [u, v] = axesOf(axis);
  const middle = middleInPart(section, plane);
  const force = load.way.map((share) => share * load.forceN) as [number, number, number];
  const moment = cross(minus(load.at, middle), force);
  const { areaMm2, ixx, iyy, ixy, edge } = section;
  // The third axis is the plane's own: a moment about u bends along v.
  const [mx, my] = [moment[u], moment[v]];
  const [overY, overX] = [mx * iyy + my * ixy, my * ixx + mx * ixy];
  const divisor = ixx * iyy - ixy * ixy;
  let bentMpa = 0;
  for (let end = 0; end < edge.length; end += 2) {
    const [x, y] = [edge[end]! - section.middle[0], edge[end + 1]! - section.middle[1]];
    bentMpa = Math.max(bentMpa, Math.abs((overY * y - overX * x) / divisor));
  }
  const normalMpa = bentMpa + Math.abs(force[axis]) / areaMm2;
  const shearMpa = (1.5 * Math.hypot(force[u], force[v])) / areaMm2;
  // What shears is nothing where what bends is most.
  const stressMpa = Math.max(normalMpa, Math.sqrt(3) * shearMpa);
  const angle = made.down === null ? 0 : Math.asin(Math.min(1, Math.abs(made.down[axis])));
  const borneMpa = borne(made.alongMpa, made.across, angle);
  const times = stressMpa > 0 ? borneMpa / stressMpa : Infinity;
  const bends = bentMpa > MOSTLY * stressMpa;
  const steep = Math.hypot(overX, overY);
  const arm = cross(minus(load.at, middle), load.way);
  return {
    plane,
    section,
    stressMpa,
    borneMpa,
    mostN: times * load.forceN,
    times,
    isAcross: borneMpa < CLEARLY * made.alongMpa,
    thicker: times >= 1 ? null : (1 / times) ** (bends ? 1 / 2 : 1),
    bentAlong: bends ? [-overX / steep, overY / steep] : null,
    leverMm: Math.hypot(...arm),
    twisted: Math.abs(moment[axis]) / (Math.hypot(...moment) || 1),
  };
}

/** What the same section would bear if it were made of something else, or laid another way, N. */
export function bornByOther({ plane, stressMpa }: Weakest, { forceN }: HeldLoad, made: Made): number {
  const angle = made.down === null ? 0 : Math.asin(Math.min(1, Math.abs(made.down[plane.axis])));
  return (borne(made.alongMpa, made.across, angle) / stressMpa) * forceN;
}

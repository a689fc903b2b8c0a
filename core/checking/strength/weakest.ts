import { along, cross, dot, minus, type Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { coreOf, type Shell } from './core';
import {
  cutSections,
  inPart,
  inPlane,
  isInside,
  planeThrough,
  type CutSection,
  type SectionPlane,
} from './cutSection';
import { isThereAnotherWay, limbBetween, type Limb, type Station } from './limb';
import { borne } from './stress';
import { twistOfCut } from './twistOfCut';

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
export interface PrintedMaterial {
  /** Allowable stress along its layers, MPa. */
  alongMpa: number;
  /** Share of that across its layers; 1 of what has none. */
  across: number;
  /** The way that lies on the bed, of length 1; null of what has no layers. */
  down: Vec3 | null;
  /** Walls of so much round an infill; null of what is solid. */
  shell: Shell | null;
}

/** The section between load and hold that bears least. */
export interface Weakest {
  plane: SectionPlane;
  section: CutSection;
  /** Largest stress there, MPa, by the energy of distortion, and what is allowed there. */
  stressMpa: number;
  borneMpa: number;
  /** Stress of bending and pulling, and of twisting alone, MPa. */
  normalMpa: number;
  twistMpa: number;
  /** The force that it bears, N, and how many times the load that is. */
  mostN: number;
  times: number;
  /** Its layers are pulled apart there, so that it bears clearly less. */
  isAcross: boolean;
  /** By how much it would have to be thicker along the way that it is bent, as a factor; null if it bears it. */
  thicker: number | null;
  /** The way in its plane along which it is bent, of length 1, as its edge counts; null where it is rather pulled, sheared or twisted. */
  bentAlong: readonly [number, number] | null;
  /** From the load, square to the way it pulls, mm. */
  leverMm: number;
}

/** More than this share of the stress from bending or twisting, and it is that which a thicker section mends. */
const MOSTLY = 0.5;
/** Below this share of what is borne along the layers, it is said that they are pulled apart. */
const CLEARLY = 0.95;
/** A section is still that of the same limb as the one before if its area is within this factor of it. */
const SAME_LIMB = 1.35;
/** Rounds in which the middle line is found anew from the middles of sections cut square to it. */
const ROUNDS = 2;
/** Of the sections between load and hold so many must be single: else two limbs share the load. */
const MOST_SINGLE = 0.5;
/** Of them so many are asked, and the weakest ones. */
const SAMPLES = 8;
/** Places round a limb's outline, and how far outside it they lie: the limb ends where most of them are in material. */
const [PLACES_ROUND, OUTSIDE_BY] = [64, 1.3];
/** Sections whose twisting is worked out by its stress function, at most. */
const MOST_TWISTED = 24;
/** A twisting moment of less than this share changes nothing. */
const LITTLE_TWIST = 0.02;

/** A section that a load acts on: cut square to its limb there. */
interface Cut {
  plane: SectionPlane;
  section: CutSection;
  /** It is that section of a limb, carried on to its root. */
  rootOf?: Cut;
}

/**
 * Looks for the weakest section between where a part is loaded and where it is held. The middle line of what joins the two is found (`limb.ts`), and sections
 * are cut square to it; each is bent, pulled, sheared and twisted as a slender beam is: σ = N / A + M c / I with both axes at once, τ = T / W (`twist.ts`), together √(σ² + 3 τ²), or
 * √3 (1.5 V / A + τ) where it is sheared (energy of distortion: von Mises). Where the load could go another way round nothing is claimed: which of two limbs bears
 * what, beams do not tell. Where walls hold an infill, of what lies within the walls its share counts. Guidance.
 *
 * @param mesh closed, its corners shared.
 * @returns null where nothing single lies between the two that could be cut.
 */
export function weakestSection(mesh: WeldedMesh, load: HeldLoad, made: PrintedMaterial): Weakest | null {
  const limb = limbBetween(mesh, load.at, load.heldAt);
  if (!limb) return null;
  const all = withRoots(mesh, toTheHold(mesh, squareCuts(mesh, limb, load.at, load.heldAt), load.heldAt));
  // At a root there is material all round, which bears nothing of the load: whether the limb is single shows before it.
  const areas = all.map(({ section }) => section.areaMm2).sort((a, b) => a - b);
  const nearMm = Math.max(2 * limb.grid.stepMm, Math.sqrt(areas[Math.floor(areas.length / 2)] ?? 0) / 2);
  const known = new Map<Cut, boolean>();
  const isSingle = (cut: Cut): boolean => {
    const of = cut.rootOf ?? cut;
    const single = known.get(of) ?? !isOneOfSeveral(limb, of, nearMm);
    known.set(of, single);
    return single;
  };
  const every = Math.max(1, Math.floor(all.length / SAMPLES));
  const samples = all.filter((_, at) => at % every === Math.floor(every / 2));
  if (samples.filter(isSingle).length < MOST_SINGLE * samples.length) return null;
  const rough = all
    .map((cut) => ({ cut, found: bears(cut, load, made, false) }))
    .sort((a, b) => a.found.times - b.found.times);
  // The rough ones are too weak rather than too strong: as soon as one is exactly as weak as the next roughly is, none is weaker.
  let weakest: Weakest | null = null;
  let twisted = 0;
  for (const { cut, found } of rough) {
    if (weakest && (weakest.times <= found.times || twisted >= MOST_TWISTED)) break;
    if (!isSingle(cut)) continue;
    twisted += 1;
    const exact = bears(cut, load, made, true);
    if (!weakest || exact.times < weakest.times) weakest = exact;
  }
  return weakest;
}

/** Sections square to the middle line, the line found anew from their middles. */
function squareCuts(mesh: WeldedMesh, { stations }: Limb, load: Vec3, hold: Vec3): Cut[] {
  let line: Station[] = stations;
  let cuts: Cut[] = [];
  for (let round = 0; round <= ROUNDS; round += 1) {
    cuts = line.flatMap((station) => cutAt(mesh, station) ?? []);
    if (round < ROUNDS) line = lineThrough(cuts);
  }
  return withoutPartial(cuts, load, hold);
}

/**
 * Near the very ends slices of cubes close in on a single point, and planes square to what their middles tell leave the limb: what they still cut off is no section of it. A section
 * at the hold itself is added in their place (`toTheHold`).
 */
function withoutPartial(cuts: readonly Cut[], load: Vec3, hold: Vec3): Cut[] {
  const left = [...cuts];
  const isPartial = (end: Vec3, own: Cut, inner: readonly Cut[]) =>
    inner.some(({ plane, section }) => {
      const reach = Math.sqrt(section.areaMm2);
      return (
        section.areaMm2 > PARTIAL * own.section.areaMm2 &&
        Math.hypot(...minus(plane.origin, own.plane.origin)) < 1.5 * reach &&
        Math.hypot(...minus(own.plane.origin, end)) < 1.2 * reach
      );
    });
  while (left.length > 1 && isPartial(load, left[0]!, left.slice(1, 1 + LOOKED_IN))) left.shift();
  while (left.length > 1 && isPartial(hold, left.at(-1)!, left.slice(-1 - LOOKED_IN, -1))) left.pop();
  return left;
}

/** Smaller by so much than what lies a little further in, the last section of a limb is taken for a part of one. */
const PARTIAL = 1.1;
const LOOKED_IN = 6;

/** The last section of a limb that is held at its end lies a little before that: one at the hold as well. */
function toTheHold(mesh: WeldedMesh, cuts: Cut[], heldAt: Vec3): Cut[] {
  const last = cuts.at(-1);
  if (!last) return cuts;
  const { plane, section } = last;
  const middle = inPart(plane, section.middle);
  const far = dot(minus(heldAt, middle), plane.normal) - FROM_END_MM;
  if (far <= 0) return cuts;
  const cut = cutAt(mesh, { at: along(middle, plane.normal, far), towards: plane.normal });
  const isWhole = cut && cut.section.areaMm2 > LEAST_LEFT * section.areaMm2;
  return isWhole && !isMore(cut.section, section) ? [...cuts, cut] : cuts;
}

/** What is cut off at the end with less than this share of the section before is a corner of it. */
const LEAST_LEFT = 0.6;
/** So far from a face that lies in the plane, mm. */
const FROM_END_MM = 0.013;

/** The piece of material that a plane cuts out round a station, or the nearest one. */
function cutAt(mesh: WeldedMesh, { at, towards }: Station): Cut | null {
  const plane = planeThrough(at, towards);
  const sections = cutSections(mesh, plane);
  const around = sections.find(({ edge }) => isInside(edge, 0, 0));
  const section =
    around ??
    sections.reduce<CutSection | null>(
      (best, one) => (best && Math.hypot(...best.middle) <= Math.hypot(...one.middle) ? best : one),
      null,
    );
  return section && { plane, section };
}

/** Directions from the middles of sections about as large: what is cut past the end of a limb says nothing of it. */
function lineThrough(cuts: readonly Cut[]): Station[] {
  const middles = cuts.map(({ plane, section }) => inPart(plane, section.middle));
  const told = cuts.map(({ section }, index): Vec3 | null => {
    const isAlike = (other: number) => {
      const ratio = cuts[other]!.section.areaMm2 / section.areaMm2;
      return ratio < SAME_LIMB && ratio > 1 / SAME_LIMB;
    };
    const reach = Math.sqrt(section.areaMm2);
    const isNear = (other: number) =>
      Math.hypot(...minus(middles[other]!, middles[index]!)) < Math.max(reach, NEAR_MM);
    let [first, last] = [index, index];
    while (first > 0 && isAlike(first - 1) && isNear(first - 1)) first -= 1;
    while (last < cuts.length - 1 && isAlike(last + 1) && isNear(last + 1)) last += 1;
    const towards = minus(middles[last]!, middles[first]!);
    return Math.hypot(...towards) > NEAR_MM / 2 && dot(towards, cuts[index]!.plane.normal) > 0
      ? towards
      : null;
  });
  return cuts.map(({ plane }, index): Station => {
    const own = told[index];
    if (own) return { at: middles[index]!, towards: own };
    // At the ends of a limb slices of cubes lie aslant, and are cut past its end: it goes there as it went before.
    const near = [1, 2, 3, 4].flatMap((step) => [index - step, index + step]).find((other) => told[other]);
    if (near === undefined) return { at: middles[index]!, towards: plane.normal };
    const { origin, normal } = planeThrough(middles[near]!, told[near]!);
    const angle = dot(normal, plane.normal);
    return angle < SAME_WAY
      ? { at: middles[index]!, towards: plane.normal }
      : { at: along(origin, normal, dot(minus(middles[index]!, origin), normal)), towards: normal };
  });
}

/** Cosine of the angle up to which slices at an end lie aslant, and beyond which the limb turns: 35°. */
const SAME_WAY = 0.82;

/** Middles of sections as near as this tell a direction together, mm. */
const NEAR_MM = 2;

/**
 * Where a limb goes into something larger, sections cut square to it meet that on one side first, and would count what is no part of the limb. There the limb's own section,
 * as it was, is taken along to where it is rooted: where its outline is in material on most sides.
 */
function withRoots(mesh: WeldedMesh, cuts: readonly Cut[]): Cut[] {
  const all: Cut[] = [];
  for (const cut of cuts) {
    const limb = all.at(-1);
    const root = limb && isMore(cut.section, limb.section) ? rootOf(mesh, limb, cut) : null;
    if (root) all.push(root);
    all.push(cut);
  }
  return all;
}

/** A section that holds something else than the limb: it is much larger, or reaches much further out on some side. */
const isMore = (section: CutSection, limb: CutSection) =>
  section.areaMm2 > SAME_LIMB * limb.areaMm2 || furthestOut(section) > SAME_LIMB * furthestOut(limb);

function rootOf(mesh: WeldedMesh, limb: Cut, grown: Cut): Cut | null {
  const { section, plane } = limb;
  const from = inPart(plane, section.middle);
  const reach = furthestOut(section);
  const most = Math.hypot(...minus(grown.plane.origin, from)) + STEEPEST * reach;
  const held = (far: number) => shareInMaterial(mesh, limb, carriedOn(limb, far));
  const probes = Array.from({ length: PROBES + 1 }, (_, at) => (most * at) / PROBES);
  const shares = probes.map(held);
  // A step square to the limb holds it on some sides at once and never on more: it is rooted where it begins.
  const enough = shares.some((share) => share >= ROOTED) ? ROOTED : Number.MIN_VALUE;
  const first = shares.findIndex((share) => share >= enough);
  if (first <= 0) return null;
  let [low, high] = [probes[first - 1]!, probes[first]!];
  while (high - low > FINE_MM) {
    const middle = (low + high) / 2;
    if (held(middle) >= enough) high = middle;
    else low = middle;
  }
  return carriedOn(limb, low);
}

/** Places at which a root is looked for before it is narrowed down. */
const PROBES = 16;
/** On so many sides in material a limb is rooted. */
const ROOTED = 0.5;
/** A limb that leans by 60° goes so far, in halves of its width, from where it first meets something to where that is all round. */
const STEEPEST = 2 * Math.tan(Math.PI / 3);
const FINE_MM = 0.02;

/** A limb's section, so far on along its own direction. */
const carriedOn = (limb: Cut, far: number): Cut => ({
  plane: { ...limb.plane, origin: along(limb.plane.origin, limb.plane.normal, far) },
  section: limb.section,
  rootOf: limb,
});

const furthestOut = ({ edge, middle }: CutSection): number => {
  let most = 0;
  for (let end = 0; end < edge.length; end += 2) {
    most = Math.max(most, Math.hypot(edge[end]! - middle[0], edge[end + 1]! - middle[1]));
  }
  return most;
};

/** Share of the places round a limb's outline that are in material at a plane further on. */
function shareInMaterial(mesh: WeldedMesh, { section }: Cut, { plane }: Cut): number {
  const there = cutSections(mesh, plane);
  const { edge, middle } = section;
  const lengths = Array.from({ length: edge.length / 4 }, (_, at) =>
    Math.hypot(edge[4 * at + 2]! - edge[4 * at]!, edge[4 * at + 3]! - edge[4 * at + 1]!),
  );
  const apart = lengths.reduce((sum, one) => sum + one, 0) / PLACES_ROUND;
  if (!(apart > 0)) return 0;
  let [inside, places, next] = [0, 0, apart / 2];
  for (const [side, length] of lengths.entries()) {
    for (; next < length; next += apart) {
      const share = next / length;
      const at = 4 * side;
      const x = middle[0] + OUTSIDE_BY * (edge[at]! + share * (edge[at + 2]! - edge[at]!) - middle[0]);
      const y =
        middle[1] + OUTSIDE_BY * (edge[at + 1]! + share * (edge[at + 3]! - edge[at + 1]!) - middle[1]);
      places += 1;
      if (there.some((one) => isInside(one.edge, x, y))) inside += 1;
    }
    next -= length;
  }
  return places > 0 ? inside / places : 0;
}

/** Whether the load could go round a section by another limb. */
function isOneOfSeveral(limb: Limb, { plane, section }: Cut, nearMm: number): boolean {
  const { stepMm } = limb.grid;
  const isCut = (place: Vec3) => {
    const [x, y] = inPlane(plane, place);
    return isInside(section.edge, x, y) || nearEdge(section, x, y) < stepMm;
  };
  return isThereAnotherWay(limb, isCut, plane, { thickMm: THICK_ENOUGH * stepMm, nearMm });
}

/** Half the thickness of a slice of cubes that nothing passes, in cubes. */
const THICK_ENOUGH = 0.9;

function nearEdge({ edge }: CutSection, x: number, y: number): number {
  let nearest = Infinity;
  for (let at = 0; at < edge.length; at += 4) {
    const [a, b, c, d] = [edge[at]!, edge[at + 1]!, edge[at + 2]!, edge[at + 3]!];
    const length = (c - a) ** 2 + (d - b) ** 2;
    const share = length > 0 ? Math.min(1, Math.max(0, ((x - a) * (c - a) + (y - b) * (d - b)) / length)) : 0;
    nearest = Math.min(nearest, Math.hypot(x - a - share * (c - a), y - b - share * (d - b)));
  }
  return nearest;
}

function bears(cut: Cut, load: HeldLoad, made: PrintedMaterial, exactly: boolean): Weakest {
  const { plane, section } = cut;
  const { u, v, normal } = plane;
  const middle = inPart(plane, section.middle);
  const force: Vec3 = [load.way[0] * load.forceN, load.way[1] * load.forceN, load.way[2] * load.forceN];
  const arm = minus(load.at, middle);
  const moment = cross(arm, force);
  const { areaMm2, ixx, iyy, ixy } = coreOf(section, made.shell);
  // A moment about u bends along v.
  const [mx, my, twist] = [dot(moment, u), dot(moment, v), Math.abs(dot(moment, normal))];
  const [overY, overX] = [mx * iyy + my * ixy, my * ixx + mx * ixy];
  const divisor = ixx * iyy - ixy * ixy;
  let bentMpa = 0;
  for (let end = 0; end < section.edge.length; end += 2) {
    const [x, y] = [section.edge[end]! - section.middle[0], section.edge[end + 1]! - section.middle[1]];
    bentMpa = Math.max(bentMpa, Math.abs((overY * y - overX * x) / divisor));
  }
  const normalMpa = bentMpa + Math.abs(dot(force, normal)) / areaMm2;
  const shearMpa = (1.5 * Math.hypot(dot(force, u), dot(force, v))) / areaMm2;
  const counts = twist > LITTLE_TWIST * Math.hypot(...moment);
  const twistMpa = counts ? twist / twistOfCut(section, made.shell, exactly) : 0;
  const stressMpa = Math.max(
    Math.hypot(normalMpa, Math.sqrt(3) * twistMpa),
    Math.sqrt(3) * (shearMpa + twistMpa),
  );
  const angle = made.down === null ? 0 : Math.asin(Math.min(1, Math.abs(dot(made.down, normal))));
  const borneMpa = borne(made.alongMpa, made.across, angle);
  const times = stressMpa > 0 ? borneMpa / stressMpa : Infinity;
  const bends = bentMpa > MOSTLY * stressMpa;
  const twists = Math.sqrt(3) * twistMpa > MOSTLY * stressMpa;
  const steep = Math.hypot(overX, overY);
  return {
    plane,
    section,
    stressMpa,
    borneMpa,
    normalMpa,
    twistMpa,
    mostN: times * load.forceN,
    times,
    isAcross: borneMpa < CLEARLY * made.alongMpa,
    thicker: times >= 1 ? null : (1 / times) ** (twists ? 1 / 3 : bends ? 1 / 2 : 1),
    bentAlong: bends && !twists ? [-overX / steep, overY / steep] : null,
    leverMm: Math.hypot(...cross(arm, load.way)),
  };
}

/** What the same section would bear if it were made of something else, or laid another way, N. */
export function bornByOther(
  { plane, stressMpa }: Weakest,
  { forceN }: HeldLoad,
  made: PrintedMaterial,
): number {
  const angle = made.down === null ? 0 : Math.asin(Math.min(1, Math.abs(dot(made.down, plane.normal))));
  return (borne(made.alongMpa, made.across, angle) / stressMpa) * forceN;
}

import { rotationDown, rotatedDown } from '@core/making/orientation';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { ON_BED_MM, steepestOf } from './overhangFaces';

/** A way to lay a part down, with what speaks for and against it. */
export interface Orientation {
  /** The direction in the part's own frame that lies on the bed, of length 1. */
  down: Vec3;
  heightMm: number;
  /** What touches the bed. */
  contactMm2: number;
  /** What is unsupported beyond what the machine manages. */
  overhangMm2: number;
  /** Share of the load that pulls layers apart: 0 along the layers, 1 across them; null if no load was pointed at. */
  across: number | null;
  /** The whole, the less the better; comparable for one part only. */
  cost: number;
}

/** Faces whose normals differ by less than this lie on one plane for our purpose: the cosine of a degree. */
const SAME_WAY = Math.cos(Math.PI / 180);
/** Smaller feet are no way to lie on, mm². */
const LEAST_FOOT_MM2 = 4;

/** What a mm of height, a mm² of overhang and a missing foot cost against each other: about minutes on a usual printer. */
const COST_PER_MM = 1;
const COST_PER_OVERHANG_MM2 = 0.12;
const COST_OF_SMALL_FOOT = 25;
const COST_OF_LOAD_ACROSS = 40;
/** So much better as it stands in the picture. */
const AS_SHOWN = 0.5;
/** A foot below this share of what stands over it may come loose. */
const SMALL_FOOT_SHARE = 0.15;

/** As the part stands in its own frame. */
export const AS_MODELLED: Vec3 = [0, 0, -1];

/**
 * Ways to lay a part down, the best first: on each flat face that it can rest on, and as it stands. Weighed by height, by what is unsupported, by how
 * much touches the bed, and by the load.
 *
 * @param overhang how far from upright a wall may lean out, radians.
 * @param load direction in the part's frame along which it is pulled or bent, of any length; null if unknown.
 */
export function orientationsOf(mesh: WeldedMesh, overhang: number, load: Vec3 | null = null): Orientation[] {
  const triangles = trianglesOf(mesh);
  const ways: Vec3[] = [];
  const groups: { normal: Vec3; area: number }[] = [];
  for (const { normal, area } of triangles) {
    const group = groups.find((known) => dot(known.normal, normal) > SAME_WAY);
    if (group) group.area += area;
    else if (groups.length < 400) groups.push({ normal, area });
  }
  for (const group of groups.sort((a, b) => b.area - a.area)) {
    if (group.area < LEAST_FOOT_MM2 || ways.length >= 14) break;
    if (!isCurved(group, groups)) ways.push(group.normal);
  }
  const others = ways.filter((direction) => dot(direction, AS_MODELLED) <= SAME_WAY);
  return [AS_MODELLED, ...others]
    .map((down) => weighed(mesh, triangles, down, overhang, load))
    .filter(({ contactMm2, down }) => contactMm2 >= LEAST_FOOT_MM2 || down === AS_MODELLED)
    .sort((a, b) => a.cost - b.cost);
}

/**
 * Whether what looks flat is a facet of something round: then others of its kind turn away from it little by little, and together have more than
 * it has. A part laid on one would rock on a line.
 */
function isCurved(
  own: { normal: Vec3; area: number },
  groups: readonly { normal: Vec3; area: number }[],
): boolean {
  const near = groups.reduce((sum, { normal, area }) => {
    const along = dot(normal, own.normal);
    return along < SAME_WAY && along > LITTLE_BY_LITTLE ? sum + area : sum;
  }, 0);
  return near > own.area;
}

/** Facets of something round turn by less than this from one to the next but one: the cosine of 25 degrees. */
const LITTLE_BY_LITTLE = Math.cos((25 * Math.PI) / 180);

interface Triangle {
  normal: Vec3;
  area: number;
  at: number;
}

function weighed(
  { positions, indices }: WeldedMesh,
  triangles: readonly Triangle[],
  down: Vec3,
  overhang: number,
  load: Vec3 | null,
): Orientation {
  let [lowest, highest] = [Infinity, -Infinity];
  const heights = new Float64Array(positions.length / 3);
  for (let corner = 0; corner < heights.length; corner += 1) {
    const at = 3 * corner;
    const up = -(positions[at]! * down[0] + positions[at + 1]! * down[1] + positions[at + 2]! * down[2]);
    heights[corner] = up;
    lowest = Math.min(lowest, up);
    highest = Math.max(highest, up);
  }
  const steepest = steepestOf(overhang);
  let [contactMm2, overhangMm2, shadowMm2] = [0, 0, 0];
  for (const { normal, area, at } of triangles) {
    const facing = dot(normal, down);
    if (facing <= 0) continue;
    shadowMm2 += area * facing;
    const [a, b, c] = [heights[indices[at]!]!, heights[indices[at + 1]!]!, heights[indices[at + 2]!]!];
    if (Math.max(a, b, c) < lowest + ON_BED_MM) contactMm2 += area;
    else if (facing > steepest) overhangMm2 += area;
  }
  const heightMm = highest - lowest;
  const across = load ? (dot(load, down) / Math.hypot(...load)) ** 2 : null;
  const cost =
    COST_PER_MM * heightMm +
    COST_PER_OVERHANG_MM2 * overhangMm2 +
    (contactMm2 < SMALL_FOOT_SHARE * shadowMm2 ? COST_OF_SMALL_FOOT : 0) +
    COST_OF_LOAD_ACROSS * (across ?? 0) -
    // Of two that are alike, the one that the person knows from the picture.
    (down === AS_MODELLED ? AS_SHOWN : 0);
  return { down, heightMm, contactMm2, overhangMm2, across, cost };
}

/**
 * A mesh laid down: turned by the least turn that brings `down` to the bed, and set with its middle over the origin and its lowest corner at height 0.
 */
export function oriented(mesh: WeldedMesh, down: Vec3): WeldedMesh {
  const { positions, low, high } = rotatedDown(mesh, down);
  const by = [-(low[0] + high[0]) / 2, -(low[1] + high[1]) / 2, -low[2]];
  for (let at = 0; at < positions.length; at += 1) positions[at]! += by[at % 3]!;
  return { positions, indices: mesh.indices };
}

/** The axes of a part that is oriented, in its own frame: z away from the bed. */
export function orientedAxes(down: Vec3): { x: Vec3; y: Vec3; z: Vec3 } {
  const [a, b, c, d, e, f, g, h, i] = rotationDown(down) as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return { x: [a, b, c], y: [d, e, f], z: [g, h, i] };
}

function trianglesOf({ positions, indices }: WeldedMesh): Triangle[] {
  const triangles: Triangle[] = [];
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [3 * indices[at]!, 3 * indices[at + 1]!, 3 * indices[at + 2]!];
    const [ux, uy, uz] = [0, 1, 2].map((axis) => positions[b + axis]! - positions[a + axis]!) as [
      number,
      number,
      number,
    ];
    const [vx, vy, vz] = [0, 1, 2].map((axis) => positions[c + axis]! - positions[a + axis]!) as [
      number,
      number,
      number,
    ];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const twice = Math.hypot(nx, ny, nz);
    if (twice > 1e-12) triangles.push({ normal: [nx / twice, ny / twice, nz / twice], area: twice / 2, at });
  }
  return triangles;
}

const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

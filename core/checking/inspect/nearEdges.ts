import type { EvaluatedRepair } from '@core/fitting/fit';
import { repeatedBy, type Body } from '@core/record/model';
import { faceTag, resolveValue, stepOfTag, type FaceTag, type SolidMesh } from '@core/shaping/part';

import { corner, wallBehind } from './rays';
import type { ThinWall } from './thinnest';

/** A hole that has too little material beside it. Lengths in mm. */
export interface NearEdge extends ThinWall {
  stepId: string;
  leastMm: number;
  /** The hole, if it is upright, the only one of its step, and where its step has put it. */
  hole: UprightHole | null;
}

/** Where an upright hole is and how far it reaches, mm. */
export interface UprightHole {
  middle: [number, number];
  low: number;
  high: number;
}

/** Material beside a hole, as a share of its width; a screw tears out where there is less (one width from its middle). */
const BESIDE = 0.5;
/** Wide holes, as for bearings, need no more than this, mm. */
const ENOUGH_MM = 3;

/** Looks into the material from each wall, all round: a row of holes is looked at after every change. */
const LOOKS = 48;

/** A hole with as much beside it all round, within this factor, is the bore of a sleeve and near no edge. */
const EVEN = 1.5;

/** Holes too near an edge or another hole: the thinnest material square to their walls. */
export function holesNearEdges(body: Body, mesh: SolidMesh, numbers: EvaluatedRepair): NearEdge[] {
  return body.steps.flatMap((step): NearEdge[] => {
    if (step.kind !== 'hole' || step.off) return [];
    const diameter = resolveValue(step.diameter, 'hole', numbers);
    if (!diameter.ok) return [];
    const leastMm = Math.min(BESIDE * diameter.value.mm, ENOUGH_MM);
    const copies = body.steps.flatMap((other) =>
      other.kind === 'pattern' && repeatedBy(other).includes(step.id) && !other.off ? [other.id] : [],
    );
    const isOfHole = (tag: FaceTag) =>
      tag === faceTag(step.id, 'wall') || (copies.includes(stepOfTag(tag)) && /:wall(~|$)/.test(tag));
    const isAsMade = copies.length === 0 && !isCarriedLater(body, step.id);
    const hole = isAsMade ? uprightHole(mesh, faceTag(step.id, 'wall')) : null;
    return wallsBeside(mesh, isOfHole).flatMap(({ least, mostMm }): NearEdge[] =>
      least.mm < leastMm - 1e-3 && mostMm > EVEN * least.mm
        ? [{ ...least, stepId: step.id, leastMm, hole }]
        : [],
    );
  });
}

/** Whether a later step takes all that is there elsewhere. */
function isCarriedLater({ steps }: Body, id: string): boolean {
  const later = steps.slice(steps.findIndex((step) => step.id === id) + 1);
  return later.some(
    (step) => !step.off && (step.kind === 'move' || (step.kind === 'mirror' && step.keep === 'other')),
  );
}

/** The least and the most material beside the worst of some faces, mm; one entry, or none where nothing is beside them. */
function wallsBeside(
  mesh: SolidMesh,
  isWanted: (tag: FaceTag) => boolean,
): { least: ThinWall; mostMm: number }[] {
  const walls = mesh.faces
    .filter(({ tag }) => isWanted(tag))
    .flatMap(({ start, count, tag }) => {
      const stride = Math.max(1, Math.floor(count / 3 / LOOKS));
      const found = Array.from({ length: Math.ceil(count / 3 / stride) }, (_, index) =>
        wallBehind(mesh, start + 3 * stride * index),
      );
      const known = found.flatMap((wall) => (wall ? [{ ...wall, tag }] : []));
      if (known.length === 0) return [];
      const least = known.reduce((best, next) => (next.mm < best.mm ? next : best));
      // Where a look finds no far side that faces it there is more than enough.
      const mostMm = known.length < found.length ? Infinity : Math.max(...known.map(({ mm }) => mm));
      return [{ least, mostMm }];
    });
  const [first, ...others] = walls;
  if (!first) return [];
  return [others.reduce((worst, next) => (next.least.mm < worst.least.mm ? next : worst), first)];
}

/** A wall that looks up or down by less than this is upright: the upward part of its normal. */
const LEVEL = 1e-3;

/** The only upright wall with a tag, or null. */
function uprightHole(mesh: SolidMesh, tag: FaceTag): UprightHole | null {
  const [face, ...others] = mesh.faces.filter((one) => one.tag === tag);
  if (!face || others.length > 0) return null;
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (let at = face.start; at < face.start + face.count; at += 1) {
    const index = mesh.indices[at]!;
    if (Math.abs(mesh.normals[3 * index + 2]!) > LEVEL) return null;
    const point = corner(mesh.positions, index);
    for (const axis of [0, 1, 2]) {
      low[axis] = Math.min(low[axis]!, point[axis]!);
      high[axis] = Math.max(high[axis]!, point[axis]!);
    }
  }
  return { middle: [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2], low: low[2], high: high[2] };
}

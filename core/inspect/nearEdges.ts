import type { EvaluatedRepair } from '@core/fit';
import type { Body } from '@core/model';
import { faceTag, resolveValue, stepOfTag, type FaceTag, type SolidMesh } from '@core/solid';

import { wallBehind } from './rays';
import type { ThinWall } from './thinnest';

/** A hole that has too little material beside it. Lengths in mm. */
export interface NearEdge extends ThinWall {
  stepId: string;
  leastMm: number;
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
    if (step.kind !== 'drill' || step.off) return [];
    const diameter = resolveValue(step.diameter, 'hole', numbers);
    if (!diameter.ok) return [];
    const leastMm = Math.min(BESIDE * diameter.value.mm, ENOUGH_MM);
    const copies = body.steps.flatMap((other) =>
      other.kind === 'repeat' && other.of === step.id && !other.off ? [other.id] : [],
    );
    const isOfHole = (tag: FaceTag) =>
      tag === faceTag(step.id, 'wall') || (copies.includes(stepOfTag(tag)) && /:wall(~|$)/.test(tag));
    return wallsBeside(mesh, isOfHole).flatMap(({ least, mostMm }): NearEdge[] =>
      least.mm < leastMm - 1e-3 && mostMm > EVEN * least.mm ? [{ ...least, stepId: step.id, leastMm }] : [],
    );
  });
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

import { firstHit } from '@core/shaping/boxTree';
import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { numberValue, type StepOf } from '@core/record/model';
import { along, dot, type Vec3 } from '@core/foundations/vectors';
import { frameFacing, toLocal, type Picked, type SolidMesh } from '@core/shaping/part';

import { directionAt } from './directionAt';

/** Wide enough that resin runs out of it, mm. */
export const DRAIN_MM = 3;
/** Past the wall, so that its inner side is gone whatever its facets, mm. */
const PAST_MM = 0.3;
/** Walls thicker than this are no walls, and rooms narrower than this hold nothing, mm. */
const THICKEST_MM = 30;
const LEAST_ROOM_MM = 0.5;
/** By the cosine between the ways out of its triangles. */
const FLAT = 1 - 1e-5;
/** So that a ray does not meet the face that it begins on, mm. */
const HAIR_MM = 1e-3;

/** A hole that lets resin out of a room, and the wall that it goes through, mm. */
export interface Drain {
  step: StepOf<'hole'>;
  wallMm: number;
}

/**
 * A hole through the wall of a hollow part, from a place that was tapped on a flat face of it into the room behind.
 */
export function drainAt(
  mesh: SolidMesh,
  picked: Extract<Picked, { kind: 'face' }>,
  newId: () => string,
): Result<Drain, StepFault> {
  const out = directionAt(mesh, picked);
  const corners = cornersOf(mesh, picked.tag);
  if (!out || corners.some(({ normal }) => dot(normal, out) < FLAT)) return no({ code: 'drain.notFlat' });
  const inwards = out.map((share) => -share) as [number, number, number];
  const wall = firstHit(mesh, along(picked.near, inwards, HAIR_MM), inwards, THICKEST_MM);
  if (!wall) return no({ code: 'drain.noRoom' });
  const wallMm = wall.mm + HAIR_MM;
  const inside = along(picked.near, inwards, wallMm + HAIR_MM);
  // The far side of a room; of a cup, how far its sides go on.
  const roomMm = firstHit(mesh, inside, inwards, Infinity)?.mm ?? beyond(mesh, inside, inwards);
  if (roomMm < LEAST_ROOM_MM) return no({ code: 'drain.noRoom' });
  const frame = frameFacing(picked.near, out);
  const places = corners.map(({ at }) => toLocal(frame, at));
  const middle = [0, 1].map((axis) => {
    const all = places.map((place) => place[axis]!);
    return (Math.min(...all) + Math.max(...all)) / 2;
  }) as [number, number];
  const hundredth = (mm: number) => numberValue(Math.round(100 * mm) / 100);
  return ok({
    wallMm,
    step: {
      id: newId(),
      kind: 'hole',
      diameter: numberValue(DRAIN_MM),
      depth: hundredth(wallMm + PAST_MM),
      on: { face: { tag: picked.tag, near: [...picked.near] } },
      // A place on a face counts from its middle.
      x: hundredth(-middle[0]),
      y: hundredth(-middle[1]),
    },
  });
}

/** How much of a part lies further along a way than a place, mm. */
function beyond({ positions }: SolidMesh, place: Vec3, way: Vec3): number {
  const here = dot(place, way);
  let most = 0;
  for (let at = 0; at < positions.length; at += 3) {
    most = Math.max(most, dot([positions[at]!, positions[at + 1]!, positions[at + 2]!], way) - here);
  }
  return most;
}

/** Corners of a face with the way out of their triangles. */
function cornersOf(
  { faces, indices, positions, normals }: SolidMesh,
  tag: string,
): { at: Vec3; normal: Vec3 }[] {
  const three = (of: Float32Array, corner: number) =>
    [of[corner]!, of[corner + 1]!, of[corner + 2]!] as const;
  return faces
    .filter((face) => face.tag === tag)
    .flatMap(({ start, count }) =>
      Array.from(indices.subarray(start, start + count), (index) => ({
        at: three(positions, 3 * index),
        normal: three(normals, 3 * index),
      })),
    );
}

import { no, ok, type NamedFace, type Result, type StepFault } from '@core/foundations/fault';
import {
  type Kernel,
  type Shape,
  type Scope,
  edgesAmong,
  meetings,
  type TaggedSolid,
  distanceBetween,
} from '@core/shaping/kernel';
import type { EdgePick, FacePick } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import { anyCopy, copyOfTag, roleOf, stepOfTag, type FaceTag } from '@core/shaping/part';

import type { StepNumbers } from './stepKind';

/** A face as a fault names it, by the steps before. */
export const namedFace = (tag: FaceTag, earlier: ReadonlyMap<string, StepNumbers>): NamedFace => ({
  tag,
  place: earlier.get(stepOfTag(tag))?.place ?? null,
});

/** The face that a pick means: of several with its tag, the one nearest to where it was picked. */
export function faceOfPick(
  scope: Scope,
  solid: TaggedSolid,
  pick: FacePick,
  earlier: ReadonlyMap<string, StepNumbers>,
): Result<Shape, StepFault> {
  const found = solid.facesTagged(pick.tag);
  if (found.length === 0) {
    return no({
      code: 'step.pickLost',
      lookingFor: { is: 'face', face: namedFace(pick.tag, earlier) },
      tag: pick.tag,
    });
  }
  return ok(nearest(solid.kernel, scope, found, pick.near));
}

/** The edges that picks mean, or the first that is lost. */
export function edgesOfPicks(
  scope: Scope,
  solid: TaggedSolid,
  picks: readonly EdgePick[],
  earlier: ReadonlyMap<string, StepNumbers>,
): Result<Shape[], StepFault> {
  const all = meetings(scope, solid);
  const edges: Shape[] = [];
  for (const { tags, near } of picks) {
    const [a, b] = tags;
    const found = edgesAmong(all, a, b);
    if (found.length === 0) {
      const between = [namedFace(a, earlier), namedFace(b, earlier)] as const;
      return no({ code: 'step.pickLost', lookingFor: { is: 'edge', between }, tag: a });
    }
    edges.push(nearest(solid.kernel, scope, found, near));
  }
  return ok(edges);
}

/**
 * Copies of a step that have an edge like those that were picked on several other copies, but not theirs: a pattern that has
 * got one more since. Null where none is left out.
 */
export function copiesLeftOut(
  solid: TaggedSolid,
  picks: readonly EdgePick[],
): { left: number; of: number } | null {
  const plain = (tag: FaceTag) => `${stepOfTag(tag)}:${anyCopy(roleOf(tag))}`;
  const picked = new Map<string, Set<number>>();
  for (const tag of picks.flatMap(({ tags }) => tags)) {
    const copy = copyOfTag(tag);
    if (copy > 1) picked.set(plain(tag), (picked.get(plain(tag)) ?? new Set<number>()).add(copy));
  }
  const there = new Map<string, Set<number>>();
  for (const tag of solid.allTags()) {
    if (picked.has(plain(tag)) && copyOfTag(tag) > 1) {
      there.set(plain(tag), (there.get(plain(tag)) ?? new Set<number>()).add(copyOfTag(tag)));
    }
  }
  let worst: { left: number; of: number } | null = null;
  for (const [key, own] of picked) {
    const all = there.get(key);
    // One that was picked by itself was meant by itself.
    if (own.size < 2 || !all) continue;
    const left = [...all].filter((copy) => !own.has(copy)).length;
    if (left > 0 && left > (worst?.left ?? 0)) worst = { left, of: all.size };
  }
  return worst;
}

function nearest(kernel: Kernel, scope: Scope, shapes: readonly Shape[], near: Vec3): Shape {
  if (shapes.length === 1) return shapes[0]!;
  const point = scope.keep(new kernel.gp_Pnt(...near));
  const vertex = scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeVertex(point)).Vertex());
  const distances = shapes.map((shape) => distanceBetween(kernel, vertex, shape));
  return shapes[distances.indexOf(Math.min(...distances))]!;
}

import { no, ok, type Result, type StepFault } from '@core/fault';
import type { EdgePick, FacePick } from '@core/model';

import type { Vec3 } from './annotation';
import { boundingBox } from './check';
import { coordinatesOf, type Frame, frameFacing } from './frame';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import type { StepNumbers } from './stepKind';
import {
  anyCopy,
  copyOfTag,
  edgesBetween,
  roleOf,
  stepOfTag,
  type FaceTag,
  type TaggedSolid,
} from './tagged';

const ROLE_WORDS: Record<string, string> = {
  top: 'the top',
  bottom: 'the bottom',
  wall: 'the wall',
  floor: 'the floor',
  right: 'the right side',
  left: 'the left side',
  front: 'the front side',
  back: 'the back side',
  corner: 'a rounded corner',
  flat: 'a flat',
  round: 'a round',
  inside: 'the inside',
  side: 'a side',
};

/** What a tagged face is called in sentences: `the top of step 2`. @param placeOf a step's place in its recipe. */
export function tagWords(tag: FaceTag, placeOf: (stepId: string) => number | undefined): string {
  const role = anyCopy(roleOf(tag)).replace(/\d+$/, '');
  const copy = /~(\d+)$/.exec(tag)?.[1];
  const place = placeOf(stepOfTag(tag));
  const of = place === undefined ? 'a step that is no longer before this one' : `step ${place}`;
  return `${ROLE_WORDS[role] ?? 'a face'} of ${copy ? `number ${copy} of ` : ''}${of}`;
}

/** As tagWords, by the steps before. */
export const wordsOf = (tag: FaceTag, earlier: ReadonlyMap<string, StepNumbers>) =>
  tagWords(tag, (id) => earlier.get(id)?.place);

/** The face that a pick means: of several with its tag, the one nearest to where it was picked. */
export function faceOfPick(
  scope: Scope,
  solid: TaggedSolid,
  pick: FacePick,
  earlier: ReadonlyMap<string, StepNumbers>,
): Result<Shape, StepFault> {
  const found = solid.facesTagged(pick.tag);
  if (found.length === 0) {
    return no({ code: 'step.pickLost', lookingFor: wordsOf(pick.tag, earlier), tag: pick.tag });
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
  const edges: Shape[] = [];
  for (const { tags, near } of picks) {
    const [a, b] = tags;
    const found = edgesBetween(scope, solid, a, b);
    if (found.length === 0) {
      const lookingFor = `the edge where ${wordsOf(a, earlier)} meets ${wordsOf(b, earlier)}`;
      return no({ code: 'step.pickLost', lookingFor, tag: a });
    }
    edges.push(nearest(solid.kernel, scope, found, near));
  }
  return ok(edges);
}

/**
 * Copies of a step that have an edge like those that were picked on several other copies, but not theirs: a repeat that has
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

/** Shortest distance between two shapes, mm; 0 where they touch or overlap. */
export function distanceBetween(kernel: Kernel, one: Shape, other: Shape): number {
  return scoped((scope) => {
    const measured = scope.keep(new kernel.BRepExtrema_DistShapeShape());
    measured.LoadS1(one);
    measured.LoadS2(other);
    measured.Perform(scope.keep(new kernel.Message_ProgressRange()));
    return measured.Value();
  });
}

/** The plane of a flat face, looking out of the solid; null for a face that is not flat. */
export function planeOf(kernel: Kernel, face: Shape): { at: Vec3; normal: Vec3 } | null {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_Plane') return null;
    const plane = scope.keep(surface.Plane());
    const normal = scope.keep(scope.keep(plane.Axis()).Direction());
    const at = scope.keep(plane.Location());
    // The surface's own way may look into the solid: then the face is turned round.
    const handed = scope.keep(plane.Position()).Direct() ? 1 : -1;
    const out = (face.Orientation() === 'TopAbs_REVERSED' ? -1 : 1) * handed;
    return {
      at: coordinatesOf(at),
      normal: [out * normal.X(), out * normal.Y(), out * normal.Z()],
    };
  });
}

/** A frame in the middle of a flat face, looking out; null for a face that is not flat. */
export function frameOnFace(kernel: Kernel, face: Shape): { frame: Frame; half: [number, number] } | null {
  const plane = planeOf(kernel, face);
  if (!plane) return null;
  const frame = frameFacing(plane.at, plane.normal);
  return scoped((scope) => {
    const back = scope.keep(transformationBack(kernel, scope, frame));
    const moved = scope.keep(face.Moved(scope.keep(new kernel.TopLoc_Location(back)), true));
    const [x0, y0, , x1, y1] = boundingBox(kernel, moved);
    const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const origin = [0, 1, 2].map(
      (axis) => frame.origin[axis]! + mx * frame.x[axis]! + my * frame.y[axis]!,
    ) as unknown as Vec3;
    return { frame: { ...frame, origin }, half: [(x1 - x0) / 2, (y1 - y0) / 2] };
  });
}

function transformationBack(kernel: Kernel, scope: Scope, { origin, z, x }: Frame) {
  const axes = scope.keep(
    new kernel.gp_Ax3(
      scope.keep(new kernel.gp_Pnt(...origin)),
      scope.keep(new kernel.gp_Dir(...z)),
      scope.keep(new kernel.gp_Dir(...x)),
    ),
  );
  const transformation = new kernel.gp_Trsf();
  transformation.SetTransformation(axes);
  return transformation;
}

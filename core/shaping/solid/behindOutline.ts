import { edgesOf, scoped, type Kernel, type TaggedSolid } from '@core/shaping/kernel';
import { ownValue } from '@core/foundations/own';
import { curveName, pointsOfCurve } from '@core/shaping/drawn';
import {
  type BehindOutline,
  type FollowedPlaces,
  type SeenPiece,
  SCREEN_QUALITY,
  toLocal,
} from '@core/shaping/part';
import { drawingOf, seenOf, type PlacedDrawing, type StepNumbers } from '@core/shaping/forming';

/** Segments shorter than this in the plane are edges seen from their end, mm. */
const SEEN_MM = 1e-4;

/**
 * @param solid what is seen: what the step finds, or another body. @param field where the step holds the drawing.
 * @returns null for a drawing that has no place of its own, as one of several that a run goes through.
 */
export function behindOutline(
  kernel: Kernel,
  solid: TaggedSolid,
  numbers: StepNumbers,
  field: string,
): BehindOutline | null {
  const own = drawingOf(numbers);
  if (own?.field !== field) return null;
  const { frame, flush, turn } = own.plane;
  const edges = edgesOf(kernel, solid.shape, SCREEN_QUALITY);
  const segments: number[] = [];
  for (let at = 0; at + 6 <= edges.length; at += 6) {
    const [x1, y1] = toLocal(frame, [edges[at]!, edges[at + 1]!, edges[at + 2]!]);
    const [x2, y2] = toLocal(frame, [edges[at + 3]!, edges[at + 4]!, edges[at + 5]!]);
    if (Math.hypot(x2 - x1, y2 - y1) > SEEN_MM) segments.push(x1, y1, x2, y2);
  }
  return {
    segments: Float32Array.from(segments),
    followed: placesOf(own),
    flush,
    turn,
  };
}

/** All of a solid that a drawing of a step can follow: its edges one by one, and where the drawing's plane cuts its faces. Arguments as those of behindOutline. */
export function seenBehind(solid: TaggedSolid, numbers: StepNumbers, field: string): SeenPiece[] {
  const own = drawingOf(numbers);
  return own?.field === field ? scoped((scope) => seenOf(scope, solid, own.plane.frame)) : [];
}

/** Where all is that a drawing follows, as its step was built. */
function placesOf({ drawing: { points, curves }, lengths }: PlacedDrawing): FollowedPlaces {
  const mm = (path: string) => ownValue(lengths, path)?.mm ?? 0;
  const following = new Set(curves.flatMap((curve) => (curve.follows ? pointsOfCurve(curve) : [])));
  return {
    points: Object.fromEntries(
      points.flatMap(({ id, follows }, index) =>
        follows || following.has(id)
          ? [[id, [mm(`points.${index}.x`), mm(`points.${index}.y`)] as const]]
          : [],
      ),
    ),
    diameters: Object.fromEntries(
      curves.flatMap((curve, index) =>
        curve.follows && curve.kind === 'circle'
          ? [[curveName(curve, index), mm(`curves.${index}.diameter`)]]
          : [],
      ),
    ),
  };
}

import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { frameOnFace, scoped, type TaggedSolid } from '@core/shaping/kernel';
import type { FromStep, MeasuredFrom, Place, Side } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import {
  type Box,
  boxIn,
  frameFacing,
  isWorld,
  tilted,
  toLocal,
  toWorld,
  WORLD,
  type Frame,
  OVERRUN_MM,
  type Placement,
  type PlaceNumbers,
} from '@core/shaping/part';
import { SAME_MM } from '@core/foundations/tolerance';

import { faceOfPick } from './picks';
import type { StepNumbers } from './stepKind';

const NORMALS: Record<Side, Vec3> = {
  top: [0, 0, 1],
  bottom: [0, 0, 1],
  front: [0, -1, 0],
  back: [0, 1, 0],
  left: [-1, 0, 0],
  right: [1, 0, 0],
};

/** Works out where a step stands on what is there. */
export function placementOf(
  place: Place<number>,
  numbers: PlaceNumbers,
  {
    before,
    box,
    earlier,
    taken = null,
  }: {
    before: TaggedSolid | null;
    box: Box | null;
    earlier: ReadonlyMap<string, StepNumbers>;
    /** Where the outline stands that the step takes from elsewhere. */
    taken?: Frame | null;
  },
): Result<Placement, StepFault> {
  for (const from of [place.xFrom, place.yFrom]) {
    if (typeof from === 'object' && !earlier.has(from.step)) {
      return no({ code: 'step.pickLost', lookingFor: { is: 'stepItsPlaceIsFrom' } });
    }
  }
  const isTaken = place.xFrom === 'there' || place.yFrom === 'there';
  if (isTaken && !taken) return no({ code: 'step.pickLost', lookingFor: { is: 'takenOutline' } });
  const middleOf = (from: FromStep | 'there') => {
    if (from === 'there') return taken!.origin;
    const { frame, at, level } = earlier.get(from.step)!.stand;
    return toWorld(frame, [...at, level]);
  };
  const on = place.on ?? 'top';
  const [x, y] = [numbers.x.mm, numbers.y.mm];
  const lift = numbers.lift?.mm ?? 0;
  let stand: Omit<Placement, 'past'>;
  if (typeof on === 'string') {
    const frame = on === 'top' || on === 'bottom' ? WORLD : frameFacing([0, 0, 0], NORMALS[on]);
    const inFrame = box && (isWorld(frame) ? box : boxIn(frame, box));
    const measured = positionIn(frame, place, [x, y], inFrame, [0, 0], middleOf);
    const level = on === 'bottom' ? 0 : (inFrame?.[5] ?? 0);
    stand = { frame, ...measured, level: level + lift, up: on === 'bottom', box: inFrame };
  } else {
    if (!before || !box) {
      return no({ code: 'step.pickLost', lookingFor: { is: 'earlierFace' }, tag: on.face.tag });
    }
    const found = scoped((scope) => {
      const face = faceOfPick(scope, before, on.face, earlier);
      return face.ok ? ok(frameOnFace(before.kernel, face.value)) : face;
    });
    if (!found.ok) return found;
    if (!found.value) return no({ code: 'pick.notFlat' });
    const { frame, half } = found.value;
    const edges: Box = [-half[0], -half[1], 0, half[0], half[1], 0];
    const axle = toLocal(frame, [0, 0, 0]);
    const measured = positionIn(
      frame,
      { xFrom: 'middle', yFrom: 'middle', ...place },
      [x, y],
      edges,
      axle,
      middleOf,
    );
    stand = { frame, ...measured, level: lift, up: false, box: boxIn(frame, box) };
  }
  if (!place.tilt) return ok({ ...stand, past: pastOf(stand) });
  const frame = tilted(
    stand.frame,
    toWorld(stand.frame, [stand.at[0], stand.at[1], stand.level]),
    place.tilt,
  );
  const there = { ...stand, frame, at: [0, 0] as const, level: 0, box: box && boxIn(frame, box) };
  // A slanted cut comes from the outside.
  const outside = there.up ? -(there.box?.[2] ?? 0) : (there.box?.[5] ?? 0);
  return ok({ ...there, past: Math.max(outside, 0) + OVERRUN_MM });
}

function pastOf({ level, up, box }: Omit<Placement, 'past'>): number {
  const isOutermost = up ? level <= (box?.[2] ?? 0) + SAME_MM : level >= (box?.[5] ?? 0) - SAME_MM;
  return isOutermost ? OVERRUN_MM : 0;
}

/**
 * A position in a frame. Numbers run to the right, to the back and up of the part, whichever way the frame's own axes
 * run on this side of it.
 */
function positionIn(
  frame: Frame,
  { xFrom, yFrom }: Pick<Place<number>, 'xFrom' | 'yFrom'>,
  [x, y]: readonly [number, number],
  edges: Box | null,
  axle: readonly number[],
  middleOf: (from: FromStep | 'there') => Vec3,
): Pick<Placement, 'at' | 'flush'> {
  const along = (axis: 0 | 1, from: MeasuredFrom | FromStep = 'axle', value: number) => {
    const direction = axis === 0 ? frame.x : frame.y;
    // The largest of its parts tells which way of the part it runs along.
    const main = direction.reduce((best, part) => (Math.abs(part) > Math.abs(best) ? part : best), 0);
    const sign = main < 0 ? -1 : 1;
    if (typeof from === 'object' || from === 'there') {
      return { at: toLocal(frame, middleOf(from))[axis] + sign * value, flush: 0 };
    }
    const [low, high] = [edges?.[axis] ?? 0, edges?.[axis + 3] ?? 0];
    const [first, last] = sign > 0 ? [low, high] : [high, low];
    switch (from) {
      case 'axle':
        return { at: axle[axis]! + sign * value, flush: 0 };
      case 'middle':
        return { at: (low + high) / 2 + sign * value, flush: 0 };
      case 'low':
      case 'lowFlush':
        return { at: first + sign * value, flush: from === 'low' ? 0 : -sign };
      case 'high':
      case 'highFlush':
        return { at: last - sign * value, flush: from === 'high' ? 0 : sign };
    }
  };
  const [a, b] = [along(0, xFrom, x), along(1, yFrom, y)];
  return { at: [a.at, b.at], flush: [a.flush, b.flush] };
}

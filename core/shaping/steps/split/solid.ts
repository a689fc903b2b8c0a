import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import {
  compoundOf,
  type Kernel,
  broughtTo,
  placedAnew,
  boolean,
  booleanWithAll,
  cylinder,
  raisedLoop,
  planeOf,
  scoped,
  type TaggedSolid,
} from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { pointLoop, type Point } from '@core/shaping/outline';
import { type Vec3, along, dot, minus } from '@core/foundations/vectors';
import {
  type Box,
  boxIn,
  frameFacing,
  type Frame,
  middleOfBox,
  plainPlacement,
  faceTag,
} from '@core/shaping/part';
import { faceOfPick, type StepInput, type StepSolid } from '@core/shaping/forming';
import { SAME_MM } from '@core/foundations/tolerance';

import type { LengthsOf } from '../kinds';

const AXES: Record<'x' | 'y' | 'z', Vec3> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** Cut in two by a plane. New faces: low and high, each the cut face of that half; peg and socket; tie. */
export const solid: StepSolid<'split'> = {
  bound: 'dresses',
  build(step, lengths, { kernel, before, box, earlier }) {
    if (!before || !box) return no({ code: 'step.firstMustAdd', verb: 'Split' });
    const cut = cutFrame(step, lengths, before, box, earlier);
    if (!cut.ok) return cut;
    const frame = cut.value;
    const half = (side: 'low' | 'high') => {
      const block = halfSpace(kernel, frame, box, side, faceTag(step.id, side));
      const kept = boolean('common', before, block);
      block.dispose();
      return kept;
    };
    if (step.keep !== 'both') return ok(half(step.keep));
    let [low, high] = [half('low'), half('high')];
    if (lengths.pegs) {
      const pegged = withPegs(step, lengths.pegs, kernel, frame, box, [low, high]);
      if (!pegged) {
        low.dispose();
        high.dispose();
        return no({ code: 'split.pegsDoNotFit', diameter: lengths.pegs.diameter });
      }
      [low, high] = pegged;
    }
    if (lengths.ties) {
      const slotted = withTies(step, lengths.ties, kernel, frame, box, [low, high]);
      low.dispose();
      high.dispose();
      if (!slotted) return no({ code: 'split.tiesDoNotFit', breadth: lengths.ties.breadth });
      [low, high] = slotted;
    }
    if (lengths.gap.mm <= 0) {
      low.dispose();
      high.dispose();
      return no({ code: 'split.noGap' });
    }
    const by = along([0, 0, 0], frame.z, lengths.gap.mm);
    const moved = placedAnew(high, { scale: 1, axis: 'z', turn: 0, by });
    high.dispose();
    return ok(compoundOf(kernel, [low, moved]));
  },
};

/** Axes in the middle of the cut, looking to its high side; or why there is no cut. */
function cutFrame(
  step: SettledStepOf<'split'>,
  lengths: LengthsOf<'split'>,
  before: TaggedSolid,
  box: Box,
  earlier: StepInput['earlier'],
): Result<Frame, StepFault> {
  const middle = middleOfBox(box);
  if (!step.face) {
    const axis = ['x', 'y', 'z'].indexOf(step.axis);
    const { at } = lengths;
    if (!at) return no({ code: 'split.atOutside' });
    if (at.mm <= box[axis]! + SAME_MM || at.mm >= box[axis + 3]! - SAME_MM) {
      return no({ code: 'split.missesBody', at });
    }
    return ok(frameFacing(along(middle, AXES[step.axis], at.mm - middle[axis]!), AXES[step.axis]));
  }
  const plane = scoped((scope) => {
    const face = faceOfPick(scope, before, step.face!, earlier);
    if (!face.ok) return face;
    const found = planeOf(before.kernel, face.value);
    return found ? ok(found) : no({ code: 'pick.notFlat' as const });
  });
  if (!plane.ok) return plane;
  const { at, normal } = plane.value;
  const frame = frameFacing(along(middle, normal, dot(minus(at, middle), normal)), normal);
  const [, , low, , , high] = boxIn(frame, box);
  return low < -SAME_MM && high > SAME_MM ? ok(frame) : no({ code: 'split.atOutside' });
}

/** The block on one side of the cut that holds that half of the part. */
function halfSpace(kernel: Kernel, frame: Frame, box: Box, side: 'low' | 'high', tag: string): TaggedSolid {
  const around = boxIn(frame, box);
  const range = (axis: number) => ({ from: around[axis]! - 1, to: around[axis + 3]! + 1 });
  const z = side === 'low' ? { from: around[2] - 1, to: 0 } : { from: 0, to: around[5] + 1 };
  return broughtTo({ ...plainPlacement(null), frame }, uprightBlock(kernel, [range(0), range(1), z], tag));
}

/** A block between two values of each axis, all of its faces under one tag. */
function uprightBlock(
  kernel: Kernel,
  [x, y, z]: readonly { from: number; to: number }[],
  tag: string,
): TaggedSolid {
  const corners: Point[] = [
    [x!.from, y!.from],
    [x!.to, y!.from],
    [x!.to, y!.to],
    [x!.from, y!.to],
  ];
  return raisedLoop(kernel, pointLoop(corners, 'cut'), { z: z!.from, height: z!.to - z!.from }, () => tag);
}

/** Which way across the cut the part is longer. */
const longerWay = (around: Box): 0 | 1 => (around[3] - around[0] >= around[4] - around[1] ? 0 : 1);

/** Two pegs on the lower half and their sockets in the upper, along the longer way of the cut; null if they find no room. */
function withPegs(
  step: SettledStepOf<'split'>,
  lengths: NonNullable<LengthsOf<'split'>['pegs']>,
  kernel: Kernel,
  frame: Frame,
  box: Box,
  [low, high]: [TaggedSolid, TaggedSolid],
): [TaggedSolid, TaggedSolid] | null {
  const longer = longerWay(boxIn(frame, box));
  const [radius, length, play] = [lengths.diameter.mm / 2, lengths.length.mm, lengths.play.mm];
  const cylinders = (grow: number, role: string) =>
    [-1, 1].map((side) => {
      const at = (side * lengths.apart.mm) / 2;
      const [x, y] = longer === 0 ? [at, 0] : [0, at];
      const made = cylinder(
        kernel,
        { x, y, z: -length, radius: radius + grow, height: 2 * length + grow },
        () => faceTag(step.id, role),
      );
      return broughtTo({ ...plainPlacement(null), frame }, made);
    });
  const [pegs, sockets] = [cylinders(0, 'peg'), cylinders(play, 'socket')];
  let [withPegsOn, withSockets]: [TaggedSolid, TaggedSolid] = [low, high];
  for (const [index, peg] of pegs.entries()) {
    const joined = boolean('fuse', withPegsOn, peg, true);
    const holed = boolean('cut', withSockets, sockets[index]!);
    if (withPegsOn !== low) withPegsOn.dispose();
    if (withSockets !== high) withSockets.dispose();
    [withPegsOn, withSockets] = [joined, holed];
  }
  for (const one of [...pegs, ...sockets]) one.dispose();
  const pieces = [withPegsOn, withSockets].every((half) => half.tagList().length > 0);
  const isSound = pieces && hasRoom(withPegsOn, withSockets, pegs.length);
  if (!isSound) {
    withPegsOn.dispose();
    withSockets.dispose();
    return null;
  }
  low.dispose();
  high.dispose();
  return [withPegsOn, withSockets];
}

/** Both halves with two slots right through them, along the longer way of the cut; null if they find no room. */
function withTies(
  step: SettledStepOf<'split'>,
  lengths: NonNullable<LengthsOf<'split'>['ties']>,
  kernel: Kernel,
  frame: Frame,
  box: Box,
  halves: [TaggedSolid, TaggedSolid],
): [TaggedSolid, TaggedSolid] | null {
  const around = boxIn(frame, box);
  const longer = longerWay(around);
  const [breadth, thickness] = [lengths.breadth.mm, lengths.thickness.mm];
  const tag = faceTag(step.id, 'tie');
  const slots = [-1, 1].map((side) => {
    const across = ([0, 1] as const).map((of) => {
      const half = of === longer ? thickness / 2 : breadth / 2;
      const at = of === longer ? (side * lengths.apart.mm) / 2 : 0;
      return { from: at - half, to: at + half };
    });
    const through = { from: around[2] - 1, to: around[5] + 1 };
    return broughtTo({ ...plainPlacement(null), frame }, uprightBlock(kernel, [...across, through], tag));
  });
  const cut = halves.map((half) => booleanWithAll('cut', half, slots));
  for (const slot of slots) slot.dispose();
  // Each slot leaves all four of its walls in each half.
  const isRound = cut.every((half) => half.tagList().filter((one) => one === tag).length === 8);
  if (isRound) return cut as [TaggedSolid, TaggedSolid];
  for (const half of cut) half.dispose();
  return null;
}

/** Each peg stands out and each socket goes in: one wall for each of them is left. */
function hasRoom(pegged: TaggedSolid, socketed: TaggedSolid, count: number): boolean {
  const of = (solid: TaggedSolid, role: string) =>
    solid.tagList().filter((tag) => tag.endsWith(`:${role}`)).length;
  // A wall and an end for each.
  return of(pegged, 'peg') === 2 * count && of(socketed, 'socket') === 2 * count;
}

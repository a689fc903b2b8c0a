import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import type { StepOf } from '@core/model';
import type { Curve, Point } from '@core/outline';

import type { Vec3 } from '../annotation';
import type { Box } from '../check';
import { compoundOf } from '../compound';
import { frameFacing, toWorld } from '../frame';
import type { Kernel } from '../kernel';
import { broughtTo, placedAnew } from '../moved';
import { boolean, booleanWithAll, cylinder } from '../operations';
import { raisedLoop } from '../outlineFace';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import { plainStand } from '../stand';
import type { StepType } from '../stepKind';
import { faceTag, type TaggedSolid } from '../tagged';

const AXES: Record<'x' | 'y' | 'z', Vec3> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** Cut in two by a plane. New faces: low and high, each the cut face of that half; peg and socket; tie. */
export const split: StepType<'split'> = {
  kind: 'split',
  effect: 'dresses',
  resolve(step, numbers) {
    const wanted: Record<string, Result<NamedLength, StepFault>> = {
      at: resolvePosition(step.at, 'place of the cut', numbers),
      gap: resolvePosition(step.gap, 'gap', numbers),
    };
    if (step.pegs) {
      wanted.diameter = resolveLength(step.pegs.diameter, 'peg', numbers);
      wanted.length = resolveLength(step.pegs.length, 'length of the pegs', numbers);
      wanted.apart = resolvePosition(step.pegs.apart, 'distance between the pegs', numbers);
      wanted.play = resolvePosition(step.pegs.play, 'play', numbers);
    }
    if (step.ties) {
      wanted.tieBreadth = resolveLength(step.ties.breadth, 'breadth of the slots', numbers);
      wanted.tieThickness = resolveLength(step.ties.thickness, 'thickness of the slots', numbers);
      wanted.tiesApart = resolvePosition(step.ties.apart, 'distance between the slots', numbers);
    }
    return resolveAll(wanted);
  },
  build(step, lengths, { kernel, before, box }) {
    if (!before || !box) return no({ code: 'step.firstMustAdd', verb: 'Split' });
    const axis = ['x', 'y', 'z'].indexOf(step.axis);
    const at = lengths.at!;
    if (at.mm <= box[axis]! + 1e-6 || at.mm >= box[axis + 3]! - 1e-6) {
      return no({ code: 'split.missesBody', at });
    }
    const half = (side: 'low' | 'high') => {
      const block = halfSpace(kernel, box, axis, at.mm, side, faceTag(step.id, side));
      const kept = boolean('common', before, block);
      block.dispose();
      return kept;
    };
    if (step.keep !== 'both') return ok(half(step.keep));
    let [low, high] = [half('low'), half('high')];
    if (step.pegs) {
      const pegged = withPegs(step, lengths, kernel, box, [low, high]);
      if (!pegged) {
        low.dispose();
        high.dispose();
        return no({ code: 'split.pegsDoNotFit', diameter: lengths.diameter! });
      }
      [low, high] = pegged;
    }
    if (step.ties) {
      const slotted = withTies(step, lengths, kernel, box, [low, high]);
      low.dispose();
      high.dispose();
      if (!slotted) return no({ code: 'split.tiesDoNotFit', breadth: lengths.tieBreadth! });
      [low, high] = slotted;
    }
    const by = AXES[step.axis].map((part) => part * lengths.gap!.mm) as unknown as Vec3;
    const moved = placedAnew(high, { scale: 1, axis: 'z', turn: 0, by });
    high.dispose();
    return ok(compoundOf(kernel, [low, moved]));
  },
  annotate: () => ({ annotations: [], centreLines: [] }),
};

/** The block on one side of the plane that holds that half of the part. */
function halfSpace(
  kernel: Kernel,
  box: Box,
  axis: number,
  at: number,
  side: 'low' | 'high',
  tag: string,
): TaggedSolid {
  const [low, high] = [box.slice(0, 3).map((mm) => mm - 1), box.slice(3).map((mm) => mm + 1)];
  if (side === 'low') high[axis] = at;
  else low[axis] = at;
  return uprightBlock(
    kernel,
    low.map((from, index) => ({ from, to: high[index]! })),
    tag,
  );
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
  const loop = corners.map((from, index): Curve => ({
    kind: 'line',
    from,
    to: corners[(index + 1) % 4]!,
    role: 'cut',
  }));
  return raisedLoop(kernel, loop, { z: z!.from, height: z!.to - z!.from }, () => tag);
}

/** The middle of the cut, and the longer way across it. */
function acrossCut(step: StepOf<'split'>, lengths: Record<string, NamedLength>, box: Box) {
  const axis = ['x', 'y', 'z'].indexOf(step.axis);
  const across = [0, 1, 2].filter((other) => other !== axis);
  const size = (of: number) => box[of + 3]! - box[of]!;
  const longer = size(across[0]!) >= size(across[1]!) ? across[0]! : across[1]!;
  const middle = [0, 1, 2].map((of) => (of === axis ? lengths.at!.mm : (box[of]! + box[of + 3]!) / 2));
  return { axis, longer, middle };
}

/** Two pegs on the lower half and their sockets in the upper, along the longer way of the cut; null if they find no room. */
function withPegs(
  step: StepOf<'split'>,
  lengths: Record<string, NamedLength>,
  kernel: Kernel,
  box: Box,
  [low, high]: [TaggedSolid, TaggedSolid],
): [TaggedSolid, TaggedSolid] | null {
  const { longer, middle } = acrossCut(step, lengths, box);
  const [radius, length, play] = [lengths.diameter!.mm / 2, lengths.length!.mm, lengths.play!.mm];
  const cylinders = (grow: number, role: string) =>
    [-1, 1].map((side) => {
      const at = [...middle];
      at[longer] = at[longer]! + (side * lengths.apart!.mm) / 2;
      const frame = frameFacing(at as unknown as Vec3, AXES[step.axis]);
      const made = cylinder(
        kernel,
        { x: 0, y: 0, z: -length, radius: radius + grow, height: 2 * length + grow },
        () => faceTag(step.id, role),
      );
      return broughtTo({ ...plainStand(null), frame: { ...frame, origin: toWorld(frame, [0, 0, 0]) } }, made);
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
  step: StepOf<'split'>,
  lengths: Record<string, NamedLength>,
  kernel: Kernel,
  box: Box,
  halves: [TaggedSolid, TaggedSolid],
): [TaggedSolid, TaggedSolid] | null {
  const { longer, middle, axis } = acrossCut(step, lengths, box);
  const [breadth, thickness] = [lengths.tieBreadth!.mm, lengths.tieThickness!.mm];
  const tag = faceTag(step.id, 'tie');
  const slots = [-1, 1].map((side) => {
    const low = [0, 1, 2].map((of) => {
      const half = of === longer ? thickness / 2 : breadth / 2;
      const at = middle[of]! + (of === longer ? (side * lengths.tiesApart!.mm) / 2 : 0);
      return of === axis ? { from: box[of]! - 1, to: box[of + 3]! + 1 } : { from: at - half, to: at + half };
    });
    return uprightBlock(kernel, low, tag);
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

import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import type { StepOf } from '@core/model';

import type { Vec3 } from '../annotation';
import type { Box } from '../check';
import { compoundOf } from '../compound';
import { frameFacing, toWorld } from '../frame';
import type { Kernel } from '../kernel';
import { broughtTo, placedAnew } from '../moved';
import { boolean, cylinder } from '../operations';
import { raisedLoop } from '../outlineFace';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import { plainStand } from '../stand';
import type { StepType } from '../stepKind';
import { faceTag, type TaggedSolid } from '../tagged';

const AXES: Record<'x' | 'y' | 'z', Vec3> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** Cut in two by a plane. New faces: low and high, each the cut face of that half; peg and socket. */
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
  const corner = ([x, y]: readonly [number, number]) => [x, y] as const;
  const loop = [
    [low[0]!, low[1]!],
    [high[0]!, low[1]!],
    [high[0]!, high[1]!],
    [low[0]!, high[1]!],
  ].map((from, index, all) => ({
    kind: 'line' as const,
    from: corner(from as [number, number]),
    to: corner(all[(index + 1) % 4] as [number, number]),
    role: 'cut',
  }));
  return raisedLoop(kernel, loop, { z: low[2]!, height: high[2]! - low[2]! }, () => tag);
}

/** Two pegs on the lower half and their sockets in the upper, along the longer way of the cut; null if they find no room. */
function withPegs(
  step: StepOf<'split'>,
  lengths: Record<string, NamedLength>,
  kernel: Kernel,
  box: Box,
  [low, high]: [TaggedSolid, TaggedSolid],
): [TaggedSolid, TaggedSolid] | null {
  const axis = ['x', 'y', 'z'].indexOf(step.axis);
  const across = [0, 1, 2].filter((other) => other !== axis);
  const size = (of: number) => box[of + 3]! - box[of]!;
  const longer = size(across[0]!) >= size(across[1]!) ? across[0]! : across[1]!;
  const middle = [0, 1, 2].map((of) => (of === axis ? lengths.at!.mm : (box[of]! + box[of + 3]!) / 2));
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

/** Each peg stands out and each socket goes in: one wall for each of them is left. */
function hasRoom(pegged: TaggedSolid, socketed: TaggedSolid, count: number): boolean {
  const of = (solid: TaggedSolid, role: string) =>
    solid.tagList().filter((tag) => tag.endsWith(`:${role}`)).length;
  // A wall and an end for each.
  return of(pegged, 'peg') === 2 * count && of(socketed, 'socket') === 2 * count;
}

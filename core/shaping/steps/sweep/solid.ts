import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { isDrawnPath } from '@core/foundations/fields';
import { boolean, soundOrNot, type TaggedSolid } from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { boxOfLoop, drawnRun } from '@core/shaping/outline';
import { along, type Vec3 } from '@core/foundations/vectors';
import { faceTag, type Placement } from '@core/shaping/part';
import {
  type StepInput,
  type StepSolid,
  halvesOf,
  hasCorner,
  isFlat,
  isRoundAbout,
  onPath,
  turnOnComingBack,
  bentPath,
  piecesOfRun,
  sharpestBend,
  swept,
  type PathPiece,
  loopHere,
} from '@core/shaping/forming';

import type { LengthsOf } from '../kinds';

/** A path with what decides how an outline is run along it. */
interface Path {
  pieces: readonly PathPiece[];
  closed: boolean;
  /** Its corners are left sharp. */
  sharp: boolean;
  /** Its points in space; none of one that is drawn, which lies in its plane. */
  points: readonly Vec3[];
}

/** An outline run along a path. Faces: those of the outline, start and end, and side where a bend is sharp. */
export const solid: StepSolid<'sweep'> = {
  tool(step, lengths, input) {
    const { kernel } = input;
    const loop = loopHere(step.outline, lengths.outline, input);
    if (!loop.ok) return loop;
    const ending = step.ending && lengths.ending ? loopHere(step.ending, lengths.ending, input) : ok(null);
    if (!ending.ok) return ending;
    const reaches = [loop.value, ...(ending.value ? [ending.value] : [])].flatMap(boxOfLoop).map(Math.abs);
    const half = Math.max(...reaches);
    const path = isDrawnPath(step.path)
      ? drawnPath(step.path, lengths, input)
      : pathOfPoints(step, lengths, input.stand, half);
    if (!path.ok) return path;
    const { pieces, closed, sharp, points } = path.value;
    if (step.ending && closed) return no({ code: 'sweep.endingOnClosed' });
    const roomMm = sharpestBend(kernel, pieces);
    if (roomMm <= half) return no({ code: 'sweep.bentTooMuch', halfMm: half, roomMm });
    const run = (some: readonly PathPiece[]) =>
      swept(kernel, loop.value, some, ending.value, sharp, (role) => faceTag(step.id, role));
    const leavesItsPlane = closed && points.length > 0 && !isFlat(points);
    // The kernel's section comes back turned, and does not meet itself: a circle is the same however it is turned, in two halves.
    if (leavesItsPlane && !sharp && isRoundAbout(loop.value))
      return soundOrNot(joined(halvesOf(pieces).map(run)));
    const made = soundOrNot(run(pieces));
    if (made.ok || !leavesItsPlane) return made;
    const turn = turnOnComingBack(points);
    return turn === 0 ? made : no({ code: 'sweep.comesBackTurned', turn });
  },
};

/** @param half how far the outline reaches from its path, mm. */
function pathOfPoints(
  step: SettledStepOf<'sweep'>,
  { path = [], bend }: LengthsOf<'sweep'>,
  { at, level }: Placement,
  half: number,
): Result<Path, StepFault> {
  const points = path.map(({ x, y, up }): Vec3 => [at[0] + x.mm, at[1] + y.mm, level + up.mm]);
  const { closed } = step;
  if (closed && points.length < 3) return no({ code: 'sweep.tooFewPoints' });
  const isBent = step.along === 'straight' && points.length > 2;
  // A bend tighter than the outline is wide would run through itself, and the kernel would not say so.
  if (bend.mm < 0 || (isBent && bend.mm > 0 && bend.mm <= half))
    return no({ code: 'sweep.bendTooTight', bend, halfMm: half });
  const pieces: PathPiece[] | null =
    step.along === 'smooth' && points.length > 2
      ? [{ kind: 'smooth', points, closed }]
      : bentPath(points, bend.mm, closed);
  return pieces
    ? ok({ pieces, closed, sharp: isBent && bend.mm === 0, points })
    : no({ code: 'sweep.legTooShort', bend });
}

function drawnPath(
  { drawn, lies }: Extract<SettledStepOf<'sweep'>['path'], { lies: unknown }>,
  lengths: LengthsOf<'sweep'>,
  { kernel, stand }: StepInput,
): Result<Path, StepFault> {
  const run = drawnRun(drawn, lengths.drawnPath ?? {});
  if (!run.ok) return run;
  const { closed } = run.value;
  const [x, y, z] = [...stand.at, stand.level];
  const pieces = piecesOfRun(run.value, (at) => along([x!, y!, z!], onPath(lies, at), 1));
  return pieces.ok
    ? ok({ pieces: pieces.value, closed, sharp: hasCorner(kernel, pieces.value, closed), points: [] })
    : pieces;
}

/** Two runs that go on from each other, as one; their ends go. */
function joined(halves: readonly TaggedSolid[]): TaggedSolid {
  const [one, other] = halves as [TaggedSolid, TaggedSolid];
  const whole = boolean('fuse', one, other, true);
  one.dispose();
  other.dispose();
  return whole;
}

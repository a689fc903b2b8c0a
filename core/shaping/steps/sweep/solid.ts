import { no, ok } from '@core/foundations/fault';
import { boolean, soundOrNot, type TaggedSolid } from '@core/shaping/kernel';
import { boxOfLoop } from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import { faceTag } from '@core/shaping/part';
import {
  type StepSolid,
  halvesOf,
  isFlat,
  isRoundAbout,
  turnOnComingBack,
  bentPath,
  sharpestBend,
  swept,
  type PathPiece,
  loopHere,
} from '@core/shaping/forming';

/** An outline run along a path. Faces: those of the outline, start and end, and side where a bend is sharp. */
export const solid: StepSolid<'sweep'> = {
  tool(step, lengths, input) {
    const { kernel, stand } = input;
    const loop = loopHere(step.outline, lengths.outline, input);
    if (!loop.ok) return loop;
    if (step.ending && step.closed) return no({ code: 'sweep.endingOnClosed' });
    const ending = step.ending && lengths.ending ? loopHere(step.ending, lengths.ending, input) : ok(null);
    if (!ending.ok) return ending;
    const points = lengths.path.map(({ x, y, up }): Vec3 => [
      stand.at[0] + x.mm,
      stand.at[1] + y.mm,
      stand.level + up.mm,
    ]);
    if (step.closed && points.length < 3) return no({ code: 'sweep.tooFewPoints' });
    const bend = lengths.bend;
    const reaches = [loop.value, ...(ending.value ? [ending.value] : [])].flatMap(boxOfLoop).map(Math.abs);
    const half = Math.max(...reaches);
    // A bend tighter than the outline is wide would run through itself, and the kernel would not say so.
    const needsBend = step.along === 'straight' && points.length > 2 && bend.mm > 0;
    if (bend.mm < 0 || (needsBend && bend.mm <= half))
      return no({ code: 'sweep.bendTooTight', bend, halfMm: half });
    const path: PathPiece[] | null =
      step.along === 'smooth' && points.length > 2
        ? [{ kind: 'smooth', points, closed: step.closed }]
        : bentPath(points, bend.mm, step.closed);
    if (!path) return no({ code: 'sweep.legTooShort', bend });
    const roomMm = sharpestBend(kernel, path);
    if (roomMm <= half) return no({ code: 'sweep.bentTooMuch', halfMm: half, roomMm });
    const sharp = step.along === 'straight' && bend.mm === 0 && points.length > 2;
    const along = (pieces: readonly PathPiece[]) =>
      swept(kernel, loop.value, pieces, ending.value, sharp, (role) => faceTag(step.id, role));
    const leavesItsPlane = step.closed && !isFlat(points);
    // The kernel's section comes back turned, and does not meet itself: a circle is the same however it is turned, in two halves.
    if (leavesItsPlane && !sharp && isRoundAbout(loop.value))
      return soundOrNot(joined(halvesOf(path).map(along)));
    const made = soundOrNot(along(path));
    if (made.ok || !leavesItsPlane) return made;
    const turn = turnOnComingBack(points);
    return turn === 0 ? made : no({ code: 'sweep.comesBackTurned', turn });
  },
};

/** Two runs that go on from each other, as one; their ends go. */
function joined(halves: readonly TaggedSolid[]): TaggedSolid {
  const [one, other] = halves as [TaggedSolid, TaggedSolid];
  const whole = boolean('fuse', one, other, true);
  one.dispose();
  other.dispose();
  return whole;
}

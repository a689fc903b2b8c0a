import { gearRadii, halfToothAngle, type GearTeeth } from './gearTeeth';
import { roomForTip, undercutOf } from './undercut';

/** Positions of a wheel in its ring that are looked at, over one whole turn of where a tip goes in and out. */
const LOOKED_AT = 720;
/** Less than this is a touch, as a share of the module. */
const TOUCH = 0.005;

/**
 * How far a wheel in a ring runs into it as they turn, mm along the teeth; 0 where they turn freely. With few teeth between them the
 * tips of the wheel meet those of the ring on the way in and out, and the tips of the ring dig into the wheel's feet. Corners of
 * both are followed through a turn, against the teeth as they are made.
 *
 * @param wheel outside teeth; @param ring inside teeth of the same module and pressure angle, more of them; they stand as far
 * apart as their pitch circles say.
 */
export function ringCollision(wheel: GearTeeth, ring: GearTeeth): number {
  const [small, large] = [gearRadii(wheel), gearRadii(ring)];
  const apart = large.pitch - small.pitch;
  if (!(apart > 0)) return 0;
  let deepest = 0;
  const tipCorner = halfToothAngle(wheel, small.tip);
  const ringTip = large.root;
  // What is cut out of the ring between two teeth leaves them this much less than a half pitch.
  const ringCorner = halfToothAngle(ring, Math.max(ringTip, large.base));
  const ringPitch = (2 * Math.PI) / ring.teeth;
  const wheelPitch = (2 * Math.PI) / wheel.teeth;
  const foot = rootAngle(wheel);
  for (let step = 0; step < LOOKED_AT; step += 1) {
    const turn = 2 * Math.PI * (step / LOOKED_AT - 0.5);
    // The wheel's tooth that is in the middle of a gap of the ring at turn 0, its leading corner.
    const x = apart + small.tip * Math.cos(turn + tipCorner);
    const y = small.tip * Math.sin(turn + tipCorner);
    const radius = Math.hypot(x, y);
    if (radius > ringTip) {
      const at = fold(Math.atan2(y, x) - (turn * wheel.teeth) / ring.teeth, ringPitch);
      const gap = halfToothAngle(ring, Math.max(radius, large.base));
      deepest = Math.max(deepest, (Math.abs(at) - gap) * radius);
    }
    // The corner of the ring's tooth beside that gap, seen from the wheel.
    const ringTurn = (turn * wheel.teeth) / ring.teeth + ringCorner;
    const [u, v] = [ringTip * Math.cos(ringTurn) - apart, ringTip * Math.sin(ringTurn)];
    const near = Math.hypot(u, v);
    if (near < small.tip && near > small.root) {
      const at = fold(Math.atan2(v, u) - turn, wheelPitch);
      deepest = Math.max(deepest, (foot(near) - Math.abs(at)) * near);
    }
  }
  return deepest > TOUCH * wheel.module ? deepest : 0;
}

/** Half angle of a wheel's tooth at a radius, as it is made: its flank, and the cut under it. */
function rootAngle(wheel: GearTeeth): (radius: number) => number {
  const { base } = gearRadii(wheel);
  const undercut = undercutOf(wheel);
  return (radius) => {
    const own = halfToothAngle(wheel, Math.max(radius, base));
    return undercut && radius < undercut.begin ? Math.min(own, roomForTip(wheel, radius)) : own;
  };
}

/** An angle brought to within half a pitch of zero. */
const fold = (angle: number, pitch: number) => angle - pitch * Math.round(angle / pitch);

/** Fewest teeth that a ring may have for a wheel of the same kind to turn in it freely. */
export function fewestRingTeeth(
  wheel: GearTeeth,
  ring: Pick<GearTeeth, 'shift' | 'backlash'>,
): number | null {
  for (let teeth = wheel.teeth + 1; teeth <= wheel.teeth + 40; teeth += 1) {
    if (ringCollision(wheel, { ...wheel, ...ring, side: 'inside', teeth }) === 0) return teeth;
  }
  return null;
}

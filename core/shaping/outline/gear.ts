import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { SAME_MM } from '@core/foundations/tolerance';

import type { Curve, Loop, Point } from './curves';
import { gearRadii, halfToothAngle, type GearTeeth } from './gearTeeth';
import { roomForTip, undercutOf, type Undercut } from './undercut';

/** Points on a flank: enough for a smooth line within a thousandth of a module. */
const FLANK_POINTS = 9;

/**
 * The outline of a gear about the origin, a tooth along x; below the base circle its flanks run straight to the root, and
 * with few teeth they are cut in so far that a mate's tips go by.
 * For a ring with inside teeth it is what is cut out of it. Roles: tip, root, and flank with a side, each with the
 * number of the tooth.
 */
export function gearLoop(gear: GearTeeth): Result<Loop, StepFault> {
  const { base, tip, root } = gearRadii(gear);
  if (root <= 0) return no({ code: 'gear.noRoot', teeth: gear.teeth });
  if (halfToothAngle(gear, tip) <= 0) return no({ code: 'gear.pointed', teeth: gear.teeth });
  const undercut = undercutOf(gear);
  if (undercut && undercut.begin >= tip) return no({ code: 'gear.pointed', teeth: gear.teeth });
  const begin = undercut?.begin ?? Math.max(base, root);
  const at = (radius: number, turn: number): Point => [radius * Math.cos(turn), radius * Math.sin(turn)];
  const pitchTurn = (2 * Math.PI) / gear.teeth;
  if (halfToothAngle(gear, begin) >= pitchTurn / 2) return no({ code: 'gear.noGap', teeth: gear.teeth });
  // Even steps of the roll keep the points close where the flank bends most, at the base circle.
  const roll = (radius: number) => Math.sqrt(Math.max(0, (radius / base) ** 2 - 1));
  const radii = Array.from({ length: FLANK_POINTS }, (_, index) => {
    const t = roll(begin) + ((roll(tip) - roll(begin)) * index) / (FLANK_POINTS - 1);
    return base * Math.sqrt(1 + t * t);
  });
  const foot = rootOf(gear, undercut);
  if (foot.some(({ half }) => half <= 0)) return no({ code: 'gear.noRoot', teeth: gear.teeth });
  /** Half angle of a tooth where it stands on its root. */
  const half = foot[0]?.half ?? halfToothAngle(gear, begin);
  const standsIn = root < (foot[0]?.radius ?? begin) - SAME_MM;
  const loop: Curve[] = [];
  for (let tooth = 0; tooth < gear.teeth; tooth += 1) {
    const middle = tooth * pitchTurn;
    const flank = (sign: 1 | -1) =>
      radii.map((radius) => at(radius, middle + sign * halfToothAngle(gear, radius)));
    const under = (sign: 1 | -1) => foot.map((step) => at(step.radius, middle + sign * step.half));
    const rising = flank(-1);
    const falling = flank(1).reverse();
    const [up, down] = [under(-1), under(1).reverse()];
    // Both run into the very points of the flanks.
    if (up.length > 0) [up[up.length - 1], down[0]] = [rising[0]!, falling.at(-1)!];
    const [first, last] = [up[0] ?? rising[0]!, down.at(-1) ?? falling.at(-1)!];
    if (standsIn) loop.push({ kind: 'line', from: at(root, middle - half), to: first, role: `foot${tooth}` });
    if (up.length > 0) loop.push({ kind: 'spline', points: up, role: `under${tooth}` });
    loop.push(
      { kind: 'spline', points: rising, role: `flank${tooth}` },
      { kind: 'arc', from: rising.at(-1)!, via: at(tip, middle), to: falling[0]!, role: `tip${tooth}` },
      { kind: 'spline', points: falling, role: `back${tooth}` },
    );
    if (down.length > 0) loop.push({ kind: 'spline', points: down, role: `hollow${tooth}` });
    const nextFoot = at(root, middle + half);
    if (standsIn) loop.push({ kind: 'line', from: last, to: nextFoot, role: `heel${tooth}` });
    const gap = (pitchTurn - 2 * half) / 2;
    const end = at(root, middle + pitchTurn - half);
    loop.push({
      kind: 'arc',
      from: standsIn ? nextFoot : last,
      via: at(root, middle + half + gap),
      // The last gap closes on the very point that the first tooth begins at.
      to: tooth === gear.teeth - 1 ? startOf(loop[0]!) : end,
      role: `root${tooth}`,
    });
  }
  return ok(loop);
}

/** Places on the cut under a flank, from the foot up; none where there is no undercut. */
function rootOf(gear: GearTeeth, undercut: Undercut | null): { radius: number; half: number }[] {
  if (!undercut) return [];
  const { nearest, begin } = undercut;
  return Array.from({ length: FLANK_POINTS }, (_, index) => {
    // Closer together at the foot, where the cut turns in.
    const radius = nearest + (begin - nearest) * (index / (FLANK_POINTS - 1)) ** 2;
    const room = roomForTip(gear, Math.max(radius, nearest * (1 + 1e-12)));
    return { radius, half: Math.min(room, halfToothAngle(gear, Math.max(radius, gearRadii(gear).base))) };
  });
}

const startOf = (curve: Curve): Point =>
  curve.kind === 'spline' ? curve.points[0]! : curve.kind === 'line' ? curve.from : [0, 0];

/**
 * A straight rack along x, its pitch line at y = 0 and its teeth to the back (basic rack of ISO 53): one module above,
 * 1.25 below, and `body` below that. All mm; pressure angle in radians. Roles: tip, root and flank with numbers, left,
 * right and front.
 */
export function rackLoop({
  teeth,
  module,
  pressure,
  backlash,
  body,
}: {
  teeth: number;
  module: number;
  pressure: number;
  backlash: number;
  body: number;
}): Result<Loop, StepFault> {
  const pitch = Math.PI * module;
  const slope = Math.tan(pressure);
  const half = pitch / 4 - backlash / 2;
  const [tipHalf, rootHalf] = [half - module * slope, half + 1.25 * module * slope];
  if (tipHalf <= 0) return no({ code: 'gear.pointed', teeth });
  if (rootHalf >= pitch / 2) return no({ code: 'gear.noGap', teeth });
  const [low, root, tip] = [-1.25 * module - body, -1.25 * module, module];
  const end = (teeth * pitch) / 2;
  // Anticlockwise: along the front to the right, and back over the teeth.
  const points: { at: Point; role: string }[] = [
    { at: [-end, low], role: 'front' },
    { at: [end, low], role: 'right' },
    { at: [end, root], role: `root${teeth}` },
  ];
  for (let tooth = teeth - 1; tooth >= 0; tooth -= 1) {
    const x = -end + (tooth + 0.5) * pitch;
    points.push(
      { at: [x + rootHalf, root], role: `back${tooth}` },
      { at: [x + tipHalf, tip], role: `tip${tooth}` },
      { at: [x - tipHalf, tip], role: `flank${tooth}` },
      { at: [x - rootHalf, root], role: `root${tooth}` },
    );
  }
  points.push({ at: [-end, root], role: 'left' });
  return ok(
    points.map(({ at, role }, index): Curve => ({
      kind: 'line',
      from: at,
      to: points[(index + 1) % points.length]!.at,
      role,
    })),
  );
}

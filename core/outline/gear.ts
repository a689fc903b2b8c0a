import { no, ok, type Result, type StepFault } from '@core/fault';

import type { Curve, Loop, Point } from './curves';

/** inv α = tan α − α, the involute function. */
const involute = (angle: number) => Math.tan(angle) - angle;

/** A spur gear's teeth. Module and backlash in mm, pressure angle in radians, shift in modules. */
export interface GearTeeth {
  teeth: number;
  module: number;
  pressure: number;
  shift: number;
  backlash: number;
  side: 'outside' | 'inside';
}

/** Radii of a gear's teeth, mm: pitch and base circles, root and tip. */
export function gearRadii({ teeth, module, pressure, shift, side }: GearTeeth) {
  const pitch = (module * teeth) / 2;
  // Basic rack of ISO 53: one module above the pitch line and 1.25 below; the teeth of a ring stand the other way.
  const [above, below] = side === 'outside' ? [1, 1.25] : [1.25, 1];
  return {
    pitch,
    base: pitch * Math.cos(pressure),
    tip: pitch + module * (above + shift),
    root: pitch + module * (shift - below),
  };
}

/**
 * Half of the angle that a tooth takes up at a radius, radians (ISO 21771:2007, 4.5):
 * ψ(r) = s / 2r₀ + inv α − inv αᵣ with cos αᵣ = r_b / r and s = m (π/2 + 2 x tan α), less the backlash.
 */
export function halfToothAngle(gear: GearTeeth, radius: number): number {
  const { module, pressure, shift, backlash, side } = gear;
  const { pitch, base } = gearRadii(gear);
  const thinner = side === 'outside' ? -backlash : backlash;
  const thickness = module * (Math.PI / 2 + 2 * shift * Math.tan(pressure)) + thinner;
  const at = Math.acos(Math.min(1, base / radius));
  return thickness / (2 * pitch) + involute(pressure) - involute(at);
}

/** Points on a flank: enough for a smooth line within a thousandth of a module. */
const FLANK_POINTS = 9;

/**
 * The outline of a gear about the origin, a tooth along x; below the base circle its flanks run straight to the root.
 * For a ring with inside teeth it is what is cut out of it. Roles: tip, root, and flank with a side, each with the
 * number of the tooth.
 */
export function gearLoop(gear: GearTeeth): Result<Loop, StepFault> {
  const { base, tip, root } = gearRadii(gear);
  if (root <= 0) return no({ code: 'gear.noRoot', teeth: gear.teeth });
  if (halfToothAngle(gear, tip) <= 0) return no({ code: 'gear.pointed', teeth: gear.teeth });
  const begin = Math.max(base, root);
  const at = (radius: number, turn: number): Point => [radius * Math.cos(turn), radius * Math.sin(turn)];
  const pitchTurn = (2 * Math.PI) / gear.teeth;
  if (halfToothAngle(gear, begin) >= pitchTurn / 2) return no({ code: 'gear.noGap', teeth: gear.teeth });
  // Even steps of the roll keep the points close where the flank bends most, at the base circle.
  const roll = (radius: number) => Math.sqrt(Math.max(0, (radius / base) ** 2 - 1));
  const radii = Array.from({ length: FLANK_POINTS }, (_, index) => {
    const t = roll(begin) + ((roll(tip) - roll(begin)) * index) / (FLANK_POINTS - 1);
    return base * Math.sqrt(1 + t * t);
  });
  const loop: Curve[] = [];
  for (let tooth = 0; tooth < gear.teeth; tooth += 1) {
    const middle = tooth * pitchTurn;
    const flank = (sign: 1 | -1) =>
      radii.map((radius) => at(radius, middle + sign * halfToothAngle(gear, radius)));
    const rising = flank(-1);
    const falling = flank(1).reverse();
    const half = halfToothAngle(gear, begin);
    const [foot, nextFoot] = [at(root, middle - half), at(root, middle + half)];
    if (root < base - 1e-9) loop.push({ kind: 'line', from: foot, to: rising[0]!, role: `foot${tooth}` });
    loop.push(
      { kind: 'spline', points: rising, role: `flank${tooth}` },
      { kind: 'arc', from: rising.at(-1)!, via: at(tip, middle), to: falling[0]!, role: `tip${tooth}` },
      { kind: 'spline', points: falling, role: `back${tooth}` },
    );
    if (root < base - 1e-9)
      loop.push({ kind: 'line', from: falling.at(-1)!, to: nextFoot, role: `heel${tooth}` });
    const gap = (pitchTurn - 2 * half) / 2;
    const end = at(root, middle + pitchTurn - half);
    loop.push({
      kind: 'arc',
      from: root < base - 1e-9 ? nextFoot : falling.at(-1)!,
      via: at(root, middle + half + gap),
      // The last gap closes on the very point that the first tooth begins at.
      to: tooth === gear.teeth - 1 ? startOf(loop[0]!) : end,
      role: `root${tooth}`,
    });
  }
  return ok(loop);
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

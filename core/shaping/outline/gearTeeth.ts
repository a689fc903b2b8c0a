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

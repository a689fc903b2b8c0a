import { no, ok } from '@core/fault';
import { RAD_PER_DEGREE } from '@core/quantity';

import type { Construction } from './constructions';

/** Modules of ISO 54:1996, series I and II, from 0.2 to 6 mm, and those below 1 of DIN 780-1:1977. */
export const MODULES_MM = [
  0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1, 1.125, 1.25,
  1.375, 1.5, 1.75, 2, 2.25, 2.5, 2.75, 3, 3.5, 4, 4.5, 5, 5.5, 6,
] as const;
const PRESSURE_ANGLES = [20, 14.5, 25].map((degrees) => degrees * RAD_PER_DEGREE);

/** Largest profile shift that is believed. */
const SHIFT_LIMIT = 1;
/** Gears whose sizes differ by less than calipers tell, mm: the usual pressure angle is taken. */
const TOLD_APART_MM = 0.02;

/** inv α = tan α − α, the involute function. */
export const involute = (angle: number) => Math.tan(angle) - angle;

/**
 * Span over k teeth of an involute spur gear, mm (ISO 21771:2007, 4.6.2):
 * W = m cos α (π (k − 1/2) + z inv α) + 2 x m sin α.
 */
export function spanOverTeeth(
  module: number,
  pressureAngle: number,
  teeth: number,
  k: number,
  shift: number,
): number {
  return (
    module * Math.cos(pressureAngle) * (Math.PI * (k - 0.5) + teeth * involute(pressureAngle)) +
    2 * shift * module * Math.sin(pressureAngle)
  );
}

/** α at which inv α has a value: Newton's method from Cheng's starting value (J. Mech. Des. 114, 1992). */
export function inverseInvolute(value: number): number {
  let angle = Math.cbrt(3 * value) - (2 * value) / 5;
  for (let turn = 0; turn < 20; turn += 1) {
    const step = (involute(angle) - value) / Math.tan(angle) ** 2;
    angle -= step;
    if (Math.abs(step) < 1e-15) break;
  }
  return angle;
}

interface GearGuess {
  module: number;
  pressureAngle: number;
  shift: number;
  /** How badly tip and centre distance agree, mm, with a little more for an unusual pressure angle. */
  misfit: number;
}

/**
 * A spur gear from its tooth count, tip diameter, span over k teeth and centre distance to its mate.
 * The span gives the profile shift for every standard module and pressure angle; the one whose tip diameter
 * m (z + 2 + 2x) and centre distance agree best is it, and 20° where calipers can't tell. The mate is taken to be cut without shift, and the
 * centre distance to be without backlash (ISO 21771, 6.3): a = m (z₁ + z₂)/2 · cos α / cos α_w with
 * inv α_w = inv α + 2 tan α · x / (z₁ + z₂).
 */
export const gearFromSpans: Construction = {
  id: 'gear-from-spans',
  name: 'Spur gear',
  when: 'A worn or broken gear: teeth counted, over the tips, over k teeth with the outside jaws, and the distance to the axle of its mate.',
  inputs: [
    { key: 'teeth', what: 'number of teeth', quantity: 'count' },
    { key: 'tip', what: 'over the tips', quantity: 'length' },
    { key: 'k', what: 'teeth between the jaws', quantity: 'count' },
    { key: 'span', what: 'over these teeth', quantity: 'length' },
    { key: 'mate', what: 'teeth of its mate', quantity: 'count' },
    { key: 'centres', what: 'axle to axle', quantity: 'length' },
  ],
  results: [
    { key: 'module', what: 'module', quantity: 'length' },
    { key: 'pressureAngle', what: 'pressure angle', quantity: 'angle' },
    { key: 'shift', what: 'profile shift', quantity: 'count' },
  ],
  compute(given) {
    const [teeth, tip, k, span, mate, centres] = ['teeth', 'tip', 'k', 'span', 'mate', 'centres'].map(
      (key) => given[key]!,
    ) as [number, number, number, number, number, number];
    let best: GearGuess | null = null;
    for (const module of MODULES_MM) {
      for (const pressureAngle of PRESSURE_ANGLES) {
        const plain = spanOverTeeth(module, pressureAngle, teeth, k, 0);
        const shift = (span - plain) / (2 * module * Math.sin(pressureAngle));
        if (Math.abs(shift) > SHIFT_LIMIT) continue;
        const misfit = Math.hypot(
          tip - module * (teeth + 2 + 2 * shift),
          centres - centreDistance(module, pressureAngle, teeth + mate, shift),
        );
        const usual = pressureAngle === PRESSURE_ANGLES[0] ? 0 : TOLD_APART_MM;
        if (!best || misfit + usual < best.misfit) {
          best = { module, pressureAngle, shift, misfit: misfit + usual };
        }
      }
    }
    if (!best || best.misfit > best.module * 0.35) {
      return no({
        code: 'construction.notPossible',
        what: 'gear',
        why: 'no standard module agrees with these sizes; count the teeth again, and check the span',
      });
    }
    return ok({ module: best.module, pressureAngle: best.pressureAngle, shift: best.shift });
  },
};

/** Centre distance without backlash of two gears whose shifts add up to `shift`, mm. */
export function centreDistance(
  module: number,
  pressureAngle: number,
  teethTogether: number,
  shift: number,
): number {
  const working = involute(pressureAngle) + (2 * Math.tan(pressureAngle) * shift) / teethTogether;
  if (working <= 0) return Number.NaN;
  const workingAngle = inverseInvolute(working);
  return ((module * teethTogether) / 2) * (Math.cos(pressureAngle) / Math.cos(workingAngle));
}

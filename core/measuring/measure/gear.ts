import { ok } from '@core/foundations/fault';
import { RAD_PER_DEGREE } from '@core/foundations/quantity';

import { construction, impossible, type Construction } from './construction';

/** Modules of ISO 54:1996, series I and II, from 0.2 to 6 mm, and those below 1 of DIN 780-1:1977. */
export const MODULES_MM = [
  0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1, 1.125, 1.25,
  1.375, 1.5, 1.75, 2, 2.25, 2.5, 2.75, 3, 3.5, 4, 4.5, 5, 5.5, 6,
] as const;
/** Diametral pitches, teeth on an inch of pitch diameter: ANSI B6.1-1968, coarse and fine. */
const PER_INCH = [5, 6, 8, 10, 12, 14, 16, 18, 20, 24, 28, 32, 40, 48, 64, 72, 80, 96, 120] as const;
const INCH_MM = 25.4;
const PRESSURE_ANGLES = [20, 14.5, 25].map((degrees) => degrees * RAD_PER_DEGREE);

/** Largest profile shift that is believed. */
const SHIFT_LIMIT = 1;
/** Gears whose sizes differ by less than calipers tell, mm: the usual pressure angle is taken. */
const TOLD_APART_MM = 0.02;

/** An inch pitch must agree better than a module by so much, mm: the base pitches of 20 on an inch and of 1.25 are 0.06 apart. */
const INCH_APART_MM = 0.035;

/** A kind of teeth, and by how much better it must agree than the usual one, mm. */
interface ToothKind {
  module: number;
  pressureAngle: number;
  unusualMm: number;
}

/** All kinds that are known, the usual ones first. Gears of inch pitches have 14.5° or 20°. */
const TOOTH_KINDS: readonly ToothKind[] = PRESSURE_ANGLES.flatMap((pressureAngle, place) => {
  const unusualMm = place === 0 ? 0 : TOLD_APART_MM;
  return [
    ...MODULES_MM.map((module) => ({ module, pressureAngle, unusualMm })),
    ...PER_INCH.map((perInch) => ({
      module: INCH_MM / perInch,
      pressureAngle,
      unusualMm: unusualMm + INCH_APART_MM,
    })),
  ];
});

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

/** What a gear may have come to since it was cut, beside being as it was. */
interface GearGuess extends ToothKind {
  shift: number;
  mateShift: number;
  /** How badly its sizes agree, mm, with what an unusual kind or story has to be better by. */
  misfit: number;
}

/** Tips wear by no more than this, in modules. */
const MOST_WORN = 0.5;
/** A mate is shifted by no more than this. */
const MOST_MATE_SHIFT = 0.8;
/** By how much a gear with worn tips, or with a mate that is shifted, must agree better than one without, in modules and mm. */
const STORY_SHARE = 0.04;
const STORY_MM = 0.06;
/** Sizes agree no worse than this, in modules. */
const MOST_MISFIT = 0.35;

/**
 * A spur gear from its tooth count, tip diameter, span over k teeth and centre distance to its mate.
 * The span gives the profile shift for every kind of teeth; the one whose tip diameter m (z + 2 + 2x) and centre
 * distance agree best is it, and the usual one where calipers can't tell. The centre distance is taken to be without backlash
 * (ISO 21771, 6.3): a = m (z₁ + z₂)/2 · cos α / cos α_w with inv α_w = inv α + 2 tan α (x₁ + x₂) / (z₁ + z₂). Where only the
 * centres agree, the tips are worn; where only the tips do, the mate is shifted.
 */
export const gearFromSpans: Construction = construction({
  id: 'gear-from-spans',
  inputs: [
    { key: 'teeth', quantity: 'count' },
    { key: 'tip', quantity: 'length' },
    { key: 'k', quantity: 'count' },
    { key: 'span', quantity: 'length' },
    { key: 'mate', quantity: 'count' },
    { key: 'centres', quantity: 'length' },
  ],
  results: [
    { key: 'module', quantity: 'length' },
    { key: 'pressureAngle', quantity: 'angle' },
    { key: 'shift', quantity: 'count' },
    { key: 'unworn', quantity: 'length' },
    { key: 'mateShift', quantity: 'count' },
  ],
  compute({ teeth, tip, k, span, mate, centres }) {
    let best: GearGuess | null = null;
    for (const kind of TOOTH_KINDS) {
      const { module, pressureAngle, unusualMm } = kind;
      const shift = shiftFromSpan(kind, teeth, k, span);
      if (Math.abs(shift) > SHIFT_LIMIT) continue;
      const tipOff = tip - tipDiameter(module, teeth, shift);
      const centresOff = centres - centreDistance(module, pressureAngle, teeth + mate, shift);
      const storyMm = STORY_MM + STORY_SHARE * module;
      const guess = (misfit: number, mateShift = 0): GearGuess => ({
        ...kind,
        shift,
        mateShift,
        misfit: misfit + unusualMm,
      });
      const guesses = [guess(Math.hypot(tipOff, centresOff))];
      if (tipOff < 0 && tipOff > -2 * MOST_WORN * module) guesses.push(guess(Math.abs(centresOff) + storyMm));
      const mateShift = shiftFromCentres(module, pressureAngle, teeth + mate, centres) - shift;
      if (Math.abs(mateShift) <= MOST_MATE_SHIFT) guesses.push(guess(Math.abs(tipOff) + storyMm, mateShift));
      for (const one of guesses) if (!best || one.misfit < best.misfit) best = one;
    }
    if (!best || !(best.misfit <= best.module * MOST_MISFIT)) {
      return impossible('gear-from-spans', 'noModule', 'itself');
    }
    const { module, pressureAngle, shift, mateShift } = best;
    return ok({ module, pressureAngle, shift, mateShift, unworn: tipDiameter(module, teeth, shift) });
  },
});

/** How far off a base pitch may be that was taken as the difference of two spans, mm. */
const PITCH_OFF_MM = 0.08;
/** Base pitches lie closer together than tips and centres do: what is unusual must agree better by so many times as much. */
const UNUSUAL_TIMES = 1.8;
/** Shifts beyond this are rare; in the weighing they count as a base pitch that is a hundredth of a millimetre off. */
const USUAL_SHIFT = 0.5;

/**
 * A spur gear from two spans, over k and over k + 1 teeth: they differ by the base pitch, π m cos α, whatever its shift, its
 * tips and its mate (ISO 21771:2007, 4.3.8). The span then gives the shift.
 */
export const gearFromTwoSpans: Construction = construction({
  id: 'gear-from-two-spans',
  inputs: [
    { key: 'teeth', quantity: 'count' },
    { key: 'k', quantity: 'count' },
    { key: 'span', quantity: 'length' },
    { key: 'next', quantity: 'length' },
  ],
  results: [
    { key: 'module', quantity: 'length' },
    { key: 'pressureAngle', quantity: 'angle' },
    { key: 'shift', quantity: 'count' },
    { key: 'unworn', quantity: 'length' },
  ],
  compute({ teeth, k, span, next }) {
    let best: (ToothKind & { shift: number; misfit: number }) | null = null;
    for (const kind of TOOTH_KINDS) {
      const off = Math.abs(next - span - Math.PI * kind.module * Math.cos(kind.pressureAngle));
      const shift = shiftFromSpan(kind, teeth, k, (span + next) / 2, 0.5);
      if (off > PITCH_OFF_MM || Math.abs(shift) > SHIFT_LIMIT) continue;
      const misfit = off + UNUSUAL_TIMES * kind.unusualMm + 0.01 * (shift / USUAL_SHIFT) ** 2;
      if (!best || misfit < best.misfit) best = { ...kind, shift, misfit };
    }
    if (!best) {
      return impossible('gear-from-two-spans', 'noBasePitch', 'itself');
    }
    const { module, pressureAngle, shift } = best;
    return ok({ module, pressureAngle, shift, unworn: tipDiameter(module, teeth, shift) });
  },
});

const tipDiameter = (module: number, teeth: number, shift: number) => module * (teeth + 2 + 2 * shift);

/** Profile shift of a gear from its span over k teeth; `more` adds parts of a tooth, for the mean of two spans. */
function shiftFromSpan(
  { module, pressureAngle }: ToothKind,
  teeth: number,
  k: number,
  span: number,
  more = 0,
): number {
  const plain = spanOverTeeth(module, pressureAngle, teeth, k + more, 0);
  return (span - plain) / (2 * module * Math.sin(pressureAngle));
}

/** Sum of the shifts of a gear and its mate that brings their axles so far apart; NaN where none does. */
function shiftFromCentres(
  module: number,
  pressureAngle: number,
  teethTogether: number,
  centres: number,
): number {
  const cosine = (module * teethTogether * Math.cos(pressureAngle)) / (2 * centres);
  if (cosine >= 1) return Number.NaN;
  const rise = involute(Math.acos(cosine)) - involute(pressureAngle);
  return (rise * teethTogether) / (2 * Math.tan(pressureAngle));
}

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

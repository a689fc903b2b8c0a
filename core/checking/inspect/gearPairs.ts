import { settledStep, type EvaluatedRepair } from '@core/fitting/fit';
import type { Body } from '@core/record/model';
import { fewestRingTeeth, ringCollision, type GearTeeth } from '@core/shaping/outline';
import { resolveValue } from '@core/shaping/part';
import { SAME_ANGLE, isSameLength } from '@core/foundations/tolerance';

/** A wheel and a ring that run into each other: teeth, how far (mm), and fewest teeth of a ring that would not. */
export interface RingTrouble {
  teeth: number;
  ringTeeth: number;
  mm: number;
  fewest: number | null;
}

/** Wheels and rings of two bodies that are of one kind and turn in each other, but run into each other as they do. */
export function ringTroubles(one: Body, other: Body, numbers: EvaluatedRepair): RingTrouble[] {
  const [a, b] = [gearsOf(one, numbers), gearsOf(other, numbers)];
  return [...pairs(a, b), ...pairs(b, a)].flatMap(([wheel, ring]) => {
    const mm = ringCollision(wheel, ring);
    if (mm === 0) return [];
    const { teeth } = wheel;
    return [{ teeth, ringTeeth: ring.teeth, mm, fewest: fewestRingTeeth(wheel, ring) }];
  });
}

function pairs(wheels: readonly GearTeeth[], rings: readonly GearTeeth[]): [GearTeeth, GearTeeth][] {
  return wheels.flatMap((wheel) =>
    rings.flatMap((ring): [GearTeeth, GearTeeth][] =>
      wheel.side === 'outside' &&
      ring.side === 'inside' &&
      ring.teeth > wheel.teeth &&
      isSameLength(ring.module, wheel.module) &&
      Math.abs(ring.pressure - wheel.pressure) < SAME_ANGLE
        ? [[wheel, ring]]
        : [],
    ),
  );
}

function gearsOf(body: Body, numbers: EvaluatedRepair): GearTeeth[] {
  return body.steps.flatMap((written) => {
    const settled = settledStep(written, numbers);
    if (!settled.ok) return [];
    const step = settled.value;
    if (step.off || !('outline' in step) || step.outline?.shape !== 'gear') return [];
    const { teeth, pressure, shift, side, module, backlash } = step.outline;
    const [size, play] = [
      resolveValue(module, 'module', numbers),
      resolveValue(backlash, 'backlash', numbers),
    ];
    if (!size.ok || !play.ok) return [];
    return [{ teeth, pressure, shift, side, module: size.value.mm, backlash: play.value.mm }];
  });
}

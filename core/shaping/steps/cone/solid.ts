import { no } from '@core/foundations/fault';
import { takesAway, type SettledStepOf } from '@core/record/model';
import type { Curve } from '@core/shaping/outline';
import { type Placement } from '@core/shaping/part';
import { type StepSolid, line, turnedSolid, POINT_BELOW_MM, acrossAnnotation } from '@core/shaping/forming';

/** Cone, or stump of one. Faces: wall, bottom, top. */
export const solid: StepSolid<'cone'> = {
  tool(step, lengths, input) {
    const [lower, upper] = [lengths.lower.mm / 2, lengths.upper.mm / 2];
    for (const end of [lengths.lower, lengths.upper]) {
      if (end.mm < 0) return no({ code: 'value.outOfRange', length: end, minMm: 0, maxMm: 1000 });
    }
    if (Math.abs(lower - upper) < POINT_BELOW_MM) return no({ code: 'cone.isNone', across: lengths.lower });
    const { low, high } = coneHeights(step, lengths.height.mm, input.stand);
    const profile: Curve[] = [];
    if (lower > POINT_BELOW_MM) profile.push(line([0, low], [lower, low], 'bottom'));
    profile.push(line([lower, low], [upper, high], 'wall'));
    if (upper > POINT_BELOW_MM) profile.push(line([upper, high], [0, high], 'top'));
    profile.push(line([0, high], [0, low], 'axis'));
    return turnedSolid(step, profile, input);
  },
  annotate(step, lengths, { stand }) {
    const { low, high } = coneHeights(step, lengths.height.mm, stand);
    const [x, y] = stand.at;
    const widest = Math.max(lengths.lower.mm, lengths.upper.mm) / 2;
    return {
      annotations: [
        acrossAnnotation(step.id, 'lower', step.lower, lengths.lower.mm, [x, y, low]),
        acrossAnnotation(step.id, 'upper', step.upper, lengths.upper.mm, [x, y, high]),
        {
          stepId: step.id,
          field: 'height',
          value: step.height,
          mm: lengths.height.mm,
          form: 'span',
          spans: [{ from: [x + widest, y, low], to: [x + widest, y, high], out: [1, 0, 0] }],
          points: [],
        },
      ],
      centreLines: [{ from: [x, y, low], to: [x, y, high], radius: widest }],
    };
  },
};

/** A cut cone begins at its face exactly: past it, it would widen on. */
function coneHeights(step: SettledStepOf<'cone'>, height: number, { level, up }: Placement) {
  return up || !takesAway(step.effect)
    ? { low: level, high: level + height }
    : { low: level - height, high: level };
}

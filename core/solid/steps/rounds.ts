import { no, ok, type Result, type StepFault } from '@core/fault';
import { takesAway, type StepKind, type SettledStepOf, type Value } from '@core/model';
import type { Curve, Loop, Point } from '@core/outline';

import type { Annotation, CentreLine } from '../annotation';
import { turnedLoop } from '../outlineFace';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import type { StepInput, StepType } from '../stepKind';
import { faceTag, type TaggedSolid } from '../tagged';
import { placeNumbers, type Stand } from '../stand';

type RoundKind = Extract<StepKind, 'cone' | 'ball' | 'ring'>;

/** A line between two corners of a profile. */
const line = (from: Point, to: Point, role: string): Curve => ({ kind: 'line', from, to, role });

/** A profile turned about the upright axis of its place. */
function turnedSolid(
  step: SettledStepOf<RoundKind>,
  profile: Loop,
  { kernel, stand: { at } }: StepInput,
): Result<TaggedSolid, StepFault> {
  return ok(turnedLoop(kernel, profile, at, (role) => faceTag(step.id, role)));
}

/** Diameters smaller than this are a point, mm. */
const POINT_BELOW_MM = 1e-6;

/** Cone, or stump of one. Faces: wall, bottom, top. */
export const cone: StepType<'cone'> = {
  kind: 'cone',
  effect: 'any',
  resolve: (step, numbers) =>
    resolveAll({
      lower: resolvePosition(step.lower, 'lower diameter', numbers),
      upper: resolvePosition(step.upper, 'upper diameter', numbers),
      height: resolveLength(step.height, 'height', numbers),
      ...placeNumbers(step, numbers),
    }),
  tool(step, lengths, input) {
    const [lower, upper] = [lengths.lower!.mm / 2, lengths.upper!.mm / 2];
    for (const end of [lengths.lower!, lengths.upper!]) {
      if (end.mm < 0) return no({ code: 'value.outOfRange', length: end, minMm: 0, maxMm: 1000 });
    }
    if (Math.abs(lower - upper) < POINT_BELOW_MM) return no({ code: 'cone.isNone', across: lengths.lower! });
    const { low, high } = coneHeights(step, lengths.height!.mm, input.stand);
    const profile: Curve[] = [];
    if (lower > POINT_BELOW_MM) profile.push(line([0, low], [lower, low], 'bottom'));
    profile.push(line([lower, low], [upper, high], 'wall'));
    if (upper > POINT_BELOW_MM) profile.push(line([upper, high], [0, high], 'top'));
    profile.push(line([0, high], [0, low], 'axis'));
    return turnedSolid(step, profile, input);
  },
  annotate(step, lengths, { stand }) {
    const { low, high } = coneHeights(step, lengths.height!.mm, stand);
    const [x, y] = stand.at;
    const widest = Math.max(lengths.lower!.mm, lengths.upper!.mm) / 2;
    return {
      annotations: [
        acrossAnnotation(step.id, 'lower', step.lower, lengths.lower!.mm, [x, y, low]),
        acrossAnnotation(step.id, 'upper', step.upper, lengths.upper!.mm, [x, y, high]),
        {
          stepId: step.id,
          field: 'height',
          value: step.height,
          mm: lengths.height!.mm,
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
function coneHeights(step: SettledStepOf<'cone'>, height: number, { level, up }: Stand) {
  return up || !takesAway(step.effect)
    ? { low: level, high: level + height }
    : { low: level - height, high: level };
}

/** Ball. Its face: wall. */
export const ball: StepType<'ball'> = {
  kind: 'ball',
  effect: 'any',
  resolve: (step, numbers) =>
    resolveAll({
      diameter: resolveLength(step.diameter, 'diameter', numbers),
      up: resolvePosition(step.up, 'height of its middle', numbers),
      ...placeNumbers(step, numbers),
    }),
  tool(step, lengths, input) {
    const radius = lengths.diameter!.mm / 2;
    const middle = input.stand.level + lengths.up!.mm;
    return turnedSolid(
      step,
      [
        {
          kind: 'arc',
          from: [0, middle - radius],
          via: [radius, middle],
          to: [0, middle + radius],
          role: 'wall',
        },
        line([0, middle + radius], [0, middle - radius], 'axis'),
      ],
      input,
    );
  },
  annotate(step, lengths, { stand }) {
    const middle = stand.level + lengths.up!.mm;
    const [x, y] = stand.at;
    return {
      annotations: [
        acrossAnnotation(step.id, 'diameter', step.diameter, lengths.diameter!.mm, [x, y, middle]),
      ],
      centreLines: middleCross([x, y, middle], lengths.diameter!.mm / 2),
    };
  },
};

/** Ring of round section. Its face: wall. */
export const ring: StepType<'ring'> = {
  kind: 'ring',
  effect: 'any',
  resolve: (step, numbers) =>
    resolveAll({
      across: resolveLength(step.across, 'measure across', numbers),
      thick: resolveLength(step.thick, 'thickness', numbers),
      up: resolvePosition(step.up, 'height of its middle', numbers),
      ...placeNumbers(step, numbers),
    }),
  tool(step, lengths, input) {
    const [across, thick] = [lengths.across!, lengths.thick!];
    if (thick.mm >= across.mm) return no({ code: 'ring.tooThick', thick, acrossMm: across.mm });
    const middle = input.stand.level + lengths.up!.mm;
    return turnedSolid(
      step,
      [{ kind: 'circle', middle: [across.mm / 2, middle], radius: thick.mm / 2, role: 'wall' }],
      input,
    );
  },
  annotate(step, lengths, { stand }) {
    const middle = stand.level + lengths.up!.mm;
    const [x, y] = stand.at;
    return {
      annotations: [acrossAnnotation(step.id, 'across', step.across, lengths.across!.mm, [x, y, middle])],
      centreLines: middleCross([x, y, middle], lengths.across!.mm / 2),
    };
  },
};

function acrossAnnotation(
  stepId: string,
  field: string,
  value: Value,
  mm: number,
  [x, y, z]: readonly [number, number, number],
): Annotation {
  return {
    stepId,
    field,
    value,
    mm,
    form: 'span',
    spans: [
      { from: [x - mm / 2, y, z], to: [x + mm / 2, y, z], out: [0, 0, 1] },
      { from: [x, y - mm / 2, z], to: [x, y + mm / 2, z], out: [0, 0, 1] },
    ],
    points: [],
  };
}

const middleCross = ([x, y, z]: readonly [number, number, number], radius: number): CentreLine[] => [
  { from: [x, y, z - radius], to: [x, y, z + radius], radius },
];

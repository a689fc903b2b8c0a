import { ok, type Result, type StepFault } from '@core/foundations/fault';
import { turnedLoop, type TaggedSolid } from '@core/shaping/kernel';
import type { Value } from '@core/record/model';
import type { Curve, Loop, Point } from '@core/shaping/outline';
import { type Annotation, type CentreLine, faceTag } from '@core/shaping/part';

import type { StepInput } from './stepKind';

/** A line between two corners of a profile. */
export const line = (from: Point, to: Point, role: string): Curve => ({ kind: 'line', from, to, role });

/** A profile turned about the upright axis of its place. */
export function turnedSolid(
  step: { id: string },
  profile: Loop,
  { kernel, stand: { at } }: StepInput,
): Result<TaggedSolid, StepFault> {
  return ok(turnedLoop(kernel, profile, at, (role) => faceTag(step.id, role)));
}

/** Diameters smaller than this are a point, mm. */
export const POINT_BELOW_MM = 1e-6;

export function acrossAnnotation(
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

export const middleCross = ([x, y, z]: readonly [number, number, number], radius: number): CentreLine[] => [
  { from: [x, y, z - radius], to: [x, y, z + radius], radius },
];

import { ok, type LengthName, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import { isValue, type OutlineShape } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

import { layoutPlaces, resolveAll, resolveLength, resolvePosition } from './resolve';

/** Those of an outline, by their path in it. */
export type OutlineNumbers = Readonly<Record<string, NamedLength>>;

/** Lengths of outlines that go by another name than in their outline. */
const NAMES: Record<string, LengthName> = {
  cornerRadius: 'cornerRadius',
  across: 'across',
  inner: 'innerDiameter',
  outer: 'outerDiameter',
  x: 'placeRight',
  y: 'placeBack',
  body: 'belowTeeth',
  by: 'wayOut',
  rim: 'rimEase',
  value: 'measure',
  band: 'bandWidth',
};

/** Those that may be zero or less. */
const MAY_BE_ZERO = new Set(['cornerRadius', 'x', 'y', 'inner', 'backlash', 'by', 'value']);

/** The numbers of an outline, each by itself, by their path in it: `diameter`, `points.2.x`. */
export function eachOutlineNumber(
  outline: OutlineShape,
  numbers: EvaluatedRepair,
): Record<string, Result<NamedLength, StepFault>> {
  const resolved: Record<string, Result<NamedLength, StepFault>> = {};
  const look = (data: object, path: string): void => {
    for (const [key, inside] of Object.entries(data) as [string, unknown][]) {
      if (typeof inside !== 'object' || inside === null) continue;
      if (!isValue(inside)) {
        look(inside, `${path}${key}.`);
        continue;
      }
      const resolve = MAY_BE_ZERO.has(key) ? resolvePosition : resolveLength;
      resolved[path + key] = resolve(inside, ownValue(NAMES, key) ?? (key as LengthName), numbers);
    }
  };
  look(outline, '');
  return resolved;
}

/** The numbers of an outline, or what is wrong with the first of them. Those of a layout's points are `at.x1` and on. */
export function outlineNumbers(
  outline: OutlineShape,
  numbers: EvaluatedRepair,
): Result<OutlineNumbers, StepFault> {
  const resolved = eachOutlineNumber(outline, numbers);
  if (outline.shape === 'layoutHull') {
    const places = layoutPlaces(outline.layout, 'band', numbers);
    if (!places.ok) return places;
    for (const { label, x, y } of places.value) {
      resolved[`at.x${label}`] = ok(x);
      resolved[`at.y${label}`] = ok(y);
    }
  }
  return resolveAll(resolved);
}

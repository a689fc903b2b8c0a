import type { NamedLength, Result, StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { OutlineShape, Value } from '@core/model';
import { loopOf, type KnownOutline, type Loop } from '@core/outline';

import { resolveLength, resolvePosition } from '../resolve';

/** What the numbers of outlines are called in sentences. */
const OUTLINE_WORDS: Record<string, string> = {
  cornerRadius: 'corner radius',
  across: 'measure across',
  inner: 'inner diameter',
  outer: 'outer diameter',
  x: 'place to the right',
  y: 'place to the back',
  body: 'height below the teeth',
};

/** Those that may be zero or less. */
const MAY_BE_ZERO = new Set(['cornerRadius', 'x', 'y', 'inner', 'backlash']);

/** The numbers of an outline, by their path in it: `diameter`, `points.2.x`. @param prefix put before each path. */
export function outlineNumbers(
  outline: OutlineShape,
  numbers: EvaluatedRepair,
  prefix = '',
): Record<string, Result<NamedLength, StepFault>> {
  const resolved: Record<string, Result<NamedLength, StepFault>> = {};
  const look = (data: object, path: string): void => {
    for (const [key, inside] of Object.entries(data) as [string, unknown][]) {
      if (typeof inside !== 'object' || inside === null) continue;
      if (!('from' in inside)) {
        look(inside, `${path}${key}.`);
        continue;
      }
      const resolve = MAY_BE_ZERO.has(key) ? resolvePosition : resolveLength;
      resolved[path + key] = resolve(inside as Value, OUTLINE_WORDS[key] ?? key, numbers);
    }
  };
  look(outline, prefix);
  return resolved;
}

/** The loop of an outline whose numbers stand among others, or what is wrong with it. */
export function knownLoop(
  outline: OutlineShape,
  all: Readonly<Record<string, NamedLength>>,
  prefix = '',
): Result<Loop, StepFault> {
  const lengths =
    prefix === ''
      ? all
      : Object.fromEntries(
          Object.entries(all).flatMap(([key, length]) =>
            key.startsWith(prefix) ? [[key.slice(prefix.length), length]] : [],
          ),
        );
  return loopOf({ ...outline, lengths } as KnownOutline);
}

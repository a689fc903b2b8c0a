import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import type { StepOf } from '@core/model';
import { boxOfLoop, placedLoop, type Loop } from '@core/outline';

import { turnedLoop } from '../outlineFace';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import { placeNumbers, type Stand } from '../stand';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';
import { knownLoop, outlineNumbers } from './outlineNumbers';

/** Nearer to a full turn than this, radians, is a full turn. */
const FULL_WITHIN = 1e-3;

/** An outline turned about the upright axis of its place. Faces: those of the outline, and start and end if it is part of a turn. */
export const spin: StepType<'spin'> = {
  kind: 'spin',
  effect: 'any',
  resolve: (step, numbers) =>
    resolveAll({
      ...outlineNumbers(step.outline, numbers, 'outline.'),
      away: resolveLength(step.away, 'distance from the axis', numbers),
      up: resolvePosition(step.up, 'height of its middle', numbers),
      ...placeNumbers(step, numbers),
    }),
  tool(step, lengths, { kernel, stand }) {
    const loop = section(step, lengths, stand);
    if (!loop.ok) return loop;
    const [x0] = boxOfLoop(loop.value);
    if (x0 < 0) return no({ code: 'spin.crossesAxis', away: lengths.away!, overMm: -x0 });
    const isFull = step.angle > 2 * Math.PI - FULL_WITHIN;
    return ok(
      turnedLoop(
        kernel,
        loop.value,
        stand.at,
        (role) => faceTag(step.id, role),
        isFull ? undefined : { from: step.turn, by: step.angle },
      ),
    );
  },
  annotate(step, lengths, { stand: { at, level } }) {
    const z = level + lengths.up!.mm;
    const away = lengths.away!.mm;
    const end = [at[0] + away * Math.cos(step.turn), at[1] + away * Math.sin(step.turn), z] as const;
    return {
      annotations: [
        {
          stepId: step.id,
          field: 'away',
          value: step.away,
          mm: away,
          form: 'span',
          spans: [{ from: [...at, z], to: end, out: [0, 0, 1] }],
          points: [],
        },
      ],
      centreLines: [{ from: [...at, level], to: [...at, z], radius: away }],
    };
  },
};

function section(
  step: StepOf<'spin'>,
  lengths: Record<string, NamedLength>,
  { level }: Stand,
): Result<Loop, StepFault> {
  const loop = knownLoop(step.outline, lengths, 'outline.');
  return loop.ok ? ok(placedLoop(loop.value, 0, [lengths.away!.mm, level + lengths.up!.mm])) : loop;
}

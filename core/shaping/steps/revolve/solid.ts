import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { turnedLoop } from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { boxOfLoop, placedRegion, type Region } from '@core/shaping/outline';
import { faceTag } from '@core/shaping/part';
import { type StepInput, type StepSolid, regionHere } from '@core/shaping/forming';

import type { LengthsOf } from '../kinds';
import { FULL_TURN } from './schema';

/** An outline turned about the upright axis of its place. Faces: those of the outline, and start and end if it is part of a turn. */
export const solid: StepSolid<'revolve'> = {
  tool(step, lengths, input) {
    const { kernel, stand } = input;
    const region = section(step, lengths, input);
    if (!region.ok) return region;
    const [x0] = boxOfLoop(region.value.outer);
    if (x0 < 0) return no({ code: 'revolve.crossesAxis', away: lengths.away, overMm: -x0 });
    const isFull = step.angle > FULL_TURN;
    return ok(
      turnedLoop(
        kernel,
        region.value,
        stand.at,
        (role) => faceTag(step.id, role),
        isFull ? undefined : { from: step.turn, by: step.angle },
      ),
    );
  },
  annotate(step, lengths, { stand: { at, level } }) {
    const z = level + lengths.up.mm;
    const away = lengths.away.mm;
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
  step: SettledStepOf<'revolve'>,
  lengths: LengthsOf<'revolve'>,
  input: StepInput,
): Result<Region, StepFault> {
  const region = regionHere(step.outline, lengths.outline, input);
  const middle = [lengths.away.mm, input.stand.level + lengths.up.mm] as const;
  return region.ok ? ok(placedRegion(region.value, 0, middle)) : region;
}

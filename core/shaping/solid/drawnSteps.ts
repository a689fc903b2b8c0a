import { type Drawn, type StepNumbers } from '@core/shaping/forming';
import { drawnInWorld } from '@core/shaping/part';
import { solidOf } from '@core/shaping/steps/solids';

import { addTo, taking } from './earlierSteps';

const NOTHING_DRAWN: Drawn = { annotations: [], centreLines: [] };

/** What the picture shows of steps that were built, in order. */
export function drawnOf(all: readonly StepNumbers[]): Drawn {
  const earlier = new Map<string, StepNumbers>();
  let drawn: Drawn[] = [];
  for (const numbers of all) {
    const { stand, lengths, step } = numbers;
    const own = solidOf(step.kind).annotate?.(step, lengths, { stand, earlier }) ?? NOTHING_DRAWN;
    const taken = taking(numbers);
    if (taken) drawn = drawn.map((one) => drawnInWorld(one, { frame: taken }));
    drawn.push(drawnInWorld(own, stand));
    addTo(earlier, numbers);
  }
  return {
    annotations: drawn.flatMap(({ annotations }) => annotations),
    centreLines: drawn.flatMap(({ centreLines }) => centreLines),
  };
}

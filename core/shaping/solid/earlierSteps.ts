import { type StepNumbers } from '@core/shaping/forming';
import { carriedPlacement } from '@core/shaping/part';
import { solidOf } from '@core/shaping/steps/solids';

/** Where a step takes what was there before it; null if it stays. */
export const taking = ({ step, lengths }: StepNumbers) => solidOf(step.kind).carries?.(step, lengths) ?? null;

/** Adds a step to those before the next one: they go where it takes them. */
export function addTo(earlier: Map<string, StepNumbers>, numbers: StepNumbers): void {
  const taken = taking(numbers);
  if (taken) {
    for (const [id, one] of earlier) earlier.set(id, { ...one, stand: carriedPlacement(one.stand, taken) });
  }
  earlier.set(numbers.step.id, numbers);
}

/** Numbers of steps in order, each carried to where those after it took it, by step id. */
export function earlierOf(all: readonly StepNumbers[]): Map<string, StepNumbers> {
  const earlier = new Map<string, StepNumbers>();
  for (const numbers of all) addTo(earlier, numbers);
  return earlier;
}

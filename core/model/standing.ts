import type { Place } from './place';
import type { Step } from './recipe';
import type { SettledStep } from './settled';
import type { Effect } from './stepBase';
import { numberValue } from './value';

/** What a step does with the solid it makes; those that do not say add it, or have but one thing to do. */
export function effectOf(step: Step): Effect {
  if ('effect' in step && step.effect) return step.effect;
  if (step.kind === 'thread') return step.side === 'inside' ? 'cut' : 'add';
  return step.kind === 'drill' || step.kind === 'groove' ? 'cut' : 'add';
}

/** Where a step stands, with what it leaves unsaid: a wheel or a plate lies on the ground, on the axle line. Null for one that has no place. */
export function placeOf(step: SettledStep): Place<number> | null;
export function placeOf(step: Step): Place | null;
export function placeOf(step: Step): Place | null {
  if (step.kind === 'turn' || step.kind === 'plate') {
    return { ...step, on: step.on ?? 'bottom', x: step.x ?? numberValue(0), y: step.y ?? numberValue(0) };
  }
  return 'x' in step && 'y' in step ? step : null;
}

import type { Step, Value } from '@core/model';

/** Recipes with one thing changed. All give a new list and leave the old one alone. */

export function withStepMoved(steps: readonly Step[], id: string, by: -1 | 1): Step[] {
  const from = steps.findIndex((step) => step.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= steps.length) return [...steps];
  const moved = [...steps];
  [moved[from], moved[to]] = [moved[to]!, moved[from]!];
  return moved;
}

export function withoutStep(steps: readonly Step[], id: string): Step[] {
  return steps.filter((step) => step.id !== id);
}

/** With one number, or the depth of a hole, set. */
export function withField(
  steps: readonly Step[],
  id: string,
  field: string,
  value: Value | 'through',
): Step[] {
  return steps.map((step) => (step.id === id ? ({ ...step, [field]: value } as Step) : step));
}

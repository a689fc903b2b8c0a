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

/** With a step switched off, or on again. */
export function withStepSwitched(steps: readonly Step[], id: string): Step[] {
  return steps.map((step) => {
    if (step.id !== id) return step;
    const { off, ...rest } = step;
    return off ? (rest as Step) : { ...step, off: true };
  });
}

/** With a copy of a step right after it. */
export function withStepCopied(steps: readonly Step[], id: string, newId: string): Step[] {
  return steps.flatMap((step) => (step.id === id ? [step, { ...step, id: newId }] : [step]));
}

export function withoutStep(steps: readonly Step[], id: string): Step[] {
  return steps.filter((step) => step.id !== id);
}

/** A number of a step, by its field; `outline.length` for one inside another. */
export function fieldOf(step: Step, field: string): Value | 'through' | undefined {
  const found = field
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], step);
  return found as Value | 'through' | undefined;
}

/** With one number, or the depth of a hole, set. */
export function withField(
  steps: readonly Step[],
  id: string,
  field: string,
  value: Value | 'through',
): Step[] {
  const set = (at: object, [key, ...rest]: string[]): object => {
    const inside = rest.length === 0 ? value : set((at as Record<string, object>)[key!]!, rest);
    return Array.isArray(at)
      ? at.map((item: unknown, index) => (index === Number(key) ? inside : item))
      : { ...at, [key!]: inside };
  };
  return steps.map((step) => (step.id === id ? (set(step, field.split('.')) as Step) : step));
}

/** With whatever a choice in its sentence changes. */
export function withPatch(steps: readonly Step[], id: string, patch: Record<string, unknown>): Step[] {
  return steps.map((step) => (step.id === id ? ({ ...step, ...patch } as Step) : step));
}

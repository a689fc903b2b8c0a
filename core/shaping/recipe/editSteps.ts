import type { Step, Value } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

/** Recipes with one thing changed. All give a new list and leave the old one alone. A section begins where it began, whichever step that is. */

export function withStepMoved(steps: readonly Step[], id: string, by: -1 | 1): Step[] {
  const from = steps.findIndex((step) => step.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= steps.length) return [...steps];
  return withStepTo(steps, id, to);
}

/** With a step switched off, or on again. */
export function withStepSwitched(steps: readonly Step[], id: string): Step[] {
  return steps.map((step) => {
    if (step.id !== id) return step;
    const { off, ...rest } = step;
    return off ? rest : { ...step, off: true };
  });
}

/** With a copy of a step right after it. */
export function withStepCopied(steps: readonly Step[], id: string, newId: string): Step[] {
  return steps.flatMap((step) => (step.id === id ? [step, { ...withoutHeading(step), id: newId }] : [step]));
}

export function withoutStep(steps: readonly Step[], id: string): Step[] {
  const at = steps.findIndex((step) => step.id === id);
  return steps
    .filter((_, index) => index !== at)
    .map((step, index) => (index === at ? beginning(step, steps[at]) : step));
}

/** A step that takes the place of one: the section that began there begins with it, unless one of its own does. */
const beginning = (step: Step, before: Step | undefined): Step =>
  before?.heading === undefined || step.heading !== undefined ? step : { ...step, heading: before.heading };

const withoutHeading = ({ heading: _, ...step }: Step): Step => step as Step;

/** Whatever stands at a path of a step: `outline.length`, `rows.2`. */
export function dataAt(step: Step, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], step);
}

/** A number of a step, by its field; `outline.length` for one inside another. */
export const fieldOf = (step: Step, field: string): Value | 'through' | undefined =>
  dataAt(step, field) as Value | 'through' | undefined;

/** Data with what stands at a path replaced; undefined takes it away. */
function setAt(at: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  const inside =
    rest.length === 0 ? value : setAt(ownValue(at as Record<string, unknown>, key!), rest, value);
  if (Array.isArray(at)) return at.map((item: unknown, index) => (index === Number(key) ? inside : item));
  const { [key!]: _, ...others } = at as Record<string, unknown>;
  return inside === undefined ? others : { ...(at as object), [key!]: inside };
}

/** With one number, or the depth of a hole, set. */
export const withField = (
  steps: readonly Step[],
  id: string,
  field: string,
  value: Value | 'through',
): Step[] => withPatch(steps, id, { [field]: value });

/** With whatever a choice in its sentence changes, by the path of each thing. */
export function withPatch(steps: readonly Step[], id: string, patch: Record<string, unknown>): Step[] {
  return steps.map((step) =>
    step.id === id
      ? Object.entries(patch).reduce<Step>(
          (changed, [path, value]) => setAt(changed, path.split('.'), value) as Step,
          step,
        )
      : step,
  );
}

/** With steps put in after one of them, or first of all. */
export function withStepAfter(steps: readonly Step[], after: string | null, added: Step): Step[] {
  const at = after === null ? 0 : steps.findIndex(({ id }) => id === after) + 1;
  return after !== null && at === 0 ? [...steps, added] : [...steps.slice(0, at), added, ...steps.slice(at)];
}

/** With a step taken out and put where another stood. */
export function withStepTo(steps: readonly Step[], id: string, to: number): Step[] {
  const from = steps.findIndex((step) => step.id === id);
  const others = withoutStep(steps, id);
  const at = Math.max(0, Math.min(to, others.length));
  if (from < 0 || at === from) return [...steps];
  const step = withoutHeading(steps[from]!);
  const next = others[at];
  // Moved up to where a section begins, it is the first of that section.
  if (at > from || next?.heading === undefined) return [...others.slice(0, at), step, ...others.slice(at)];
  const first = { ...step, heading: next.heading };
  return [...others.slice(0, at), first, withoutHeading(next), ...others.slice(at + 1)];
}

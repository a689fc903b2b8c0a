import type { Step } from '@core/shaping/steps/data';
import type { Value } from '@core/foundations/fields';

/** A number, and not a curve of a drawn outline, which runs from somewhere too. */
export const isValue = (data: object): data is Value => 'from' in data && !('kind' in data);

/** All numbers of a step, those inside its outline too. */
export function valuesIn(step: Step): Value[] {
  const found: Value[] = [];
  const look = (data: unknown): void => {
    if (typeof data !== 'object' || data === null) return;
    if (isValue(data)) found.push(data);
    else Object.values(data).forEach(look);
  };
  look(step);
  return found;
}

/** A step with every number in it exchanged. */
export function withValues(step: Step, exchanged: (value: Value) => Value): Step {
  const look = (data: unknown): unknown => {
    if (typeof data !== 'object' || data === null) return data;
    if (Array.isArray(data)) return data.map(look);
    if (isValue(data)) return exchanged(data);
    return Object.fromEntries(Object.entries(data).map(([key, inside]) => [key, look(inside)]));
  };
  return look(step) as Step;
}

/** Other bodies that a step uses: one it joins or makes room for, one whose outlines it takes, or one that a drawing follows. */
export function bodiesUsedBy(step: Step): string[] {
  const found: string[] = step.kind === 'body' ? [step.of] : [];
  const look = (data: unknown): void => {
    if (typeof data !== 'object' || data === null) return;
    if ('shape' in data && data.shape === 'offset' && 'of' in data) {
      const { body } = data.of as { body?: string };
      if (body !== undefined) found.push(body);
    }
    if ('follows' in data) {
      const { body } = data.follows as { body?: string };
      if (body !== undefined) found.push(body);
    }
    Object.values(data).forEach(look);
  };
  look(step);
  return found;
}

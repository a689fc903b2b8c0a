import type { Step } from './recipe';
import type { Value } from './value';

/** All numbers of a step, those inside its outline too. */
export function valuesIn(step: Step): Value[] {
  const found: Value[] = [];
  const look = (data: unknown): void => {
    if (typeof data !== 'object' || data === null) return;
    // Curves of a drawn outline run from somewhere too.
    if ('from' in data && !('kind' in data)) found.push(data as Value);
    else Object.values(data).forEach(look);
  };
  look(step);
  return found;
}

/** Other bodies that a step uses: one it joins or makes room for, or one whose outlines it takes. */
export function bodiesUsedBy(step: Step): string[] {
  const found: string[] = step.kind === 'body' ? [step.of] : [];
  const look = (data: unknown): void => {
    if (typeof data !== 'object' || data === null) return;
    if ('shape' in data && data.shape === 'offset' && 'of' in data) {
      const { body } = data.of as { body?: string };
      if (body !== undefined) found.push(body);
    }
    Object.values(data).forEach(look);
  };
  look(step);
  return found;
}

import { type EdgeRule, type StepOf, numberValue } from '@core/model';
import type { FirstValues } from '../firstValues';

/** A new one, with numbers guessed from sizes that no step uses yet. */
export function first({ id, steps, lastOf }: FirstValues): StepOf<'round'> {
  const rules = steps.flatMap((step) => (step.kind === 'ease' || step.kind === 'round' ? [step.where] : []));
  const isDressed = (edges: EdgeRule['edges'], of: string) =>
    rules.some((rule) => rule.edges === edges && 'of' in rule && rule.of === of);
  const hole = lastOf('drill');
  // The outermost that is left; where all are done, the corners that fingers and loads find.
  const outer = steps
    .filter((step) => ['turn', 'plate', 'peg', 'raise', 'cone'].includes(step.kind))
    .filter((step) => !isDressed('rims', step.id))
    .at(-1)?.id;
  const where: EdgeRule =
    hole && !isDressed('mouths', hole)
      ? { edges: 'mouths', of: hole }
      : outer
        ? { edges: 'rims', of: outer }
        : { edges: 'insides' };
  return { id, kind: 'round', size: numberValue(1), where };
}

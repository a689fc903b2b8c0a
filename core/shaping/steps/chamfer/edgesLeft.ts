import type { EdgeRule } from '@core/record/model';

import type { FirstValues } from '../firstValues';

/** The edges that a new ease or round begins with: those of the last hole or outermost shape that are left. */
export function edgesLeft({ steps, lastOf }: Pick<FirstValues, 'steps' | 'lastOf'>): EdgeRule {
  const rules = steps.flatMap((step) =>
    step.kind === 'chamfer' || step.kind === 'fillet' ? [step.where] : [],
  );
  const isDressed = (edges: EdgeRule['edges'], of: string) =>
    rules.some((rule) => rule.edges === edges && 'of' in rule && rule.of === of);
  const hole = lastOf('hole');
  // The outermost that is left; where all are done, the corners that fingers and loads find.
  const outer = steps
    .filter((step) => ['disc', 'plate', 'peg', 'extrude', 'cone'].includes(step.kind))
    .filter((step) => !isDressed('rims', step.id))
    .at(-1)?.id;
  return hole && !isDressed('mouths', hole)
    ? { edges: 'mouths', of: hole }
    : outer
      ? { edges: 'rims', of: outer }
      : { edges: 'insides' };
}

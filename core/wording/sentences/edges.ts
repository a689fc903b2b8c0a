import type { EdgeRule, Step, StepOf } from '@core/model';

import { choice, type SentencePart } from './parts';

/** Where edges are, in words; `steps` are those of the recipe, for naming the one meant. */
function edgeWords(rule: EdgeRule, steps: readonly Step[]): string {
  const place = steps.findIndex((step) => step.id === rule.of);
  const of = place < 0 ? '' : ` of step ${place + 1}`;
  if (rule.edges === 'mouths') return `both mouths of the hole${onlyOne(steps, isHole) ? '' : of}`;
  if (rule.edges === 'upright') return `the upright edges${of}`;
  const which = steps[place]?.kind === 'plate' ? 'the top and bottom edges of the plate' : 'the outer edges';
  return `${which}${onlyOne(steps, hasRims) || steps[place]?.kind === 'plate' ? '' : of}`;
}

const isHole = (step: Step) => step.kind === 'drill' || step.kind === 'repeat';
const hasRims = (step: Step) =>
  ['turn', 'plate', 'peg'].includes(step.kind) ||
  ('effect' in step && step.kind !== 'ball' && step.kind !== 'ring');
const hasUprights = (step: Step) =>
  step.kind === 'plate' || (step.kind === 'raise' && ['rectangle', 'polygon'].includes(step.outline.shape));
const onlyOne = (steps: readonly Step[], wanted: (step: Step) => boolean) => steps.filter(wanted).length < 2;

/** The edges that a step may take, by rule, of all steps before it. */
export function edgeChoice(step: StepOf<'ease' | 'round'>, steps: readonly Step[]): SentencePart {
  const rule = step.where;
  const options = stepsBefore(step, steps).flatMap((earlier): EdgeRule[] => [
    ...(isHole(earlier) ? [{ edges: 'mouths' as const, of: earlier.id }] : []),
    ...(hasRims(earlier) ? [{ edges: 'rims' as const, of: earlier.id }] : []),
    ...(hasUprights(earlier) ? [{ edges: 'upright' as const, of: earlier.id }] : []),
  ]);
  const same = (other: EdgeRule) => other.edges === rule.edges && other.of === rule.of;
  const all = options.some(same) ? options : [rule, ...options];
  return choice(
    'which edges',
    ({ patch }) => same(patch.where as EdgeRule),
    all.map((where) => ({ word: edgeWords(where, steps), patch: { where } })),
  );
}

/** Steps of the recipe before one of it; all of them for one that is not there. */
export function stepsBefore({ id }: Step, steps: readonly Step[]): readonly Step[] {
  const own = steps.findIndex((step) => step.id === id);
  return steps.slice(0, own < 0 ? steps.length : own);
}

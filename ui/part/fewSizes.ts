import type { Annotation } from '@core/shaping/part';

/** So many sizes at once can be read on a small picture. */
export const FEW_SIZES = 6;

/** What a fit or a size gives is looked at first; then what comes from a layout; numbers of the recipe last. */
const RANK: Record<Annotation['value']['from'], number> = {
  fit: 0,
  size: 1,
  formula: 2,
  layout: 3,
  number: 4,
};

/**
 * The sizes that stand on the picture: those of the step that is worked on; or else the few that matter most, in the order of the
 * recipe.
 *
 * @param most how many; Infinity for all.
 */
export function fewSizes(all: readonly Annotation[], stepId: string | null, most: number): Annotation[] {
  const own = all.filter((one) => one.stepId === stepId);
  if (own.length > 0) return own;
  if (most === Infinity) return [...all];
  // A size that several numbers are taken from is read once.
  const once = all.filter((one, at) => !all.slice(0, at).some((before) => isSame(before, one)));
  const kept = new Set(once.sort((a, b) => RANK[a.value.from] - RANK[b.value.from]).slice(0, most));
  return all.filter((one) => kept.has(one));
}

const isSame = ({ value: a }: Annotation, { value: b }: Annotation): boolean =>
  a.from !== 'number' && JSON.stringify(a) === JSON.stringify(b);

import type { DrawnOutline } from '@core/foundations/fields';
import { dimensionWord, RELATION_WORDS } from '@core/reporting/wording';

type Dimension = NonNullable<DrawnOutline['dimensions']>[number];

/** What a relation or a dimension is called: by its tag, if it has one. */
export function nameIn(
  outline: DrawnOutline,
  id: string,
  tagOf: (value: Extract<Dimension, { value: unknown }>['value']) => string | null,
): string {
  const dimension = outline.dimensions?.find((one) => one.id === id);
  if (dimension) {
    const tag = 'value' in dimension ? tagOf(dimension.value) : null;
    return tag ?? dimensionWord(dimension).toLowerCase();
  }
  const relation = outline.relations.find((one) => one.id === id);
  return relation ? RELATION_WORDS[relation.kind].toLowerCase() : id;
}

/** Whether a drawing at a field of a step is a path, which may be open. */
export const isPathField = (field: string): boolean => field.startsWith('path.');

import type { Size } from './size';

/** A size to be measured as it begins, with what is known of it already. */
export function newSize(given: Pick<Size, 'id' | 'tag' | 'name'> & Partial<Size>): Size {
  return {
    version: 0,
    quantity: 'length',
    kind: 'measured',
    of: 'piece',
    jaw: 'outside',
    importance: 'plain',
    taken: 'mean',
    takenWhy: '',
    given: null,
    source: '',
    derivation: null,
    removed: false,
    ...given,
  };
}

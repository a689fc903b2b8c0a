/** The list of a repair in which each kind of row stands. */
export const LIST_OF = {
  size: 'sizes',
  reading: 'readings',
  layout: 'layouts',
  fit: 'fits',
  chain: 'chains',
  photo: 'photos',
  body: 'bodies',
  revision: 'revisions',
  trial: 'trials',
} as const;

export type ListedRow = keyof typeof LIST_OF;
export type ListName = (typeof LIST_OF)[ListedRow];

/** The kind of row that stands in each list. */
export const ROW_OF_LIST = Object.fromEntries(Object.entries(LIST_OF).map(([row, list]) => [list, row])) as {
  [L in ListName]: { [R in ListedRow]: (typeof LIST_OF)[R] extends L ? R : never }[ListedRow];
};

import { z } from 'zod';

import { RepairHead, Revision } from './repair';
import { listNames, listSchemas } from './rowKinds';
import { Scan } from './scan';
import { STATE_ROWS } from './stateRows';
import { Trial } from './trial';

/** The kinds of row that stand in lists of a repair; see `rowKinds`. Each has a table of its list's name in the database. */
export const REPAIR_ROWS = {
  ...STATE_ROWS,
  revision: { list: 'revisions', row: Revision, most: 200, missing: 'refused' },
  /** Not frozen with a revision: a trial belongs to what was made of it. Absent in what was written before there were any. */
  trial: { list: 'trials', row: Trial, most: 500, missing: 'empty' },
  /** Not frozen either: the piece that was scanned is what it is. */
  scan: { list: 'scans', row: Scan, most: 50, missing: 'empty' },
} as const;

/** The list of a repair in which each kind of row stands. */
export const LIST_OF = listNames(REPAIR_ROWS);

export type ListedRow = keyof typeof REPAIR_ROWS;
export type ListName = (typeof LIST_OF)[ListedRow];

/** The kind of row that stands in each list. */
export const ROW_OF_LIST = Object.fromEntries(Object.entries(LIST_OF).map(([row, list]) => [list, row])) as {
  [L in ListName]: { [R in ListedRow]: (typeof LIST_OF)[R] extends L ? R : never }[ListedRow];
};

/** Rows that each list of a repair may have, deleted ones too. */
export const LIST_LIMITS = Object.fromEntries(
  Object.values(REPAIR_ROWS).map(({ list, most }) => [list, most]),
) as Readonly<Record<ListName, number>>;

/** Lists that came later, empty: what was kept before lacks them. */
export const laterLists = (): Partial<Record<ListName, never[]>> =>
  Object.fromEntries(
    Object.values(REPAIR_ROWS).flatMap(({ list, missing }) => (missing === 'empty' ? [[list, []]] : [])),
  );

/** One thing to mend, whole. */
export const Repair = z.strictObject({ head: RepairHead, ...listSchemas(REPAIR_ROWS) });
export type Repair = z.infer<typeof Repair>;

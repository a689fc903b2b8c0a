import type { Knex } from 'knex';

import {
  LIST_OF,
  type ListName,
  type NextThing,
  type Repair,
  type RepairHead,
  type RowKind,
} from '@core/record/model';

/** Every list of a repair has a table of its name. */
const LISTS: readonly ListName[] = Object.values(LIST_OF);

interface StoredRow {
  id: string;
  repair_id: string;
  position: number;
  data: string;
}

/** A repair as it was read, and how many bytes of JSON it has. */
export interface LoadedRepair {
  repair: Repair;
  bytes: number;
}

/** Reads a whole repair; null if there is none of that id. */
export async function loadRepair(database: Knex, id: string): Promise<LoadedRepair | null> {
  const head = await database<StoredRow>('repairs').select('data').where({ id }).first();
  if (!head) return null;
  const lists: Partial<Record<ListName, unknown[]>> = {};
  let bytes = head.data.length;
  for (const list of LISTS) {
    const rows = await database<StoredRow>(list).select('data').where({ repair_id: id }).orderBy('position');
    lists[list] = rows.map((row) => JSON.parse(row.data) as unknown);
    for (const row of rows) bytes += bytesOf(row.data);
  }
  // What was written was parsed then; reading it back needs no second look.
  return { repair: { head: JSON.parse(head.data) as RepairHead, ...lists } as Repair, bytes };
}

/** Bytes that a text takes in a file. */
export const bytesOf = (text: string): number => Buffer.byteLength(text);

/** Writes one row of a repair, new or changed. */
export async function writeRow(database: Knex, repair: Repair, kind: RowKind, id: string): Promise<void> {
  if (kind === 'head') return;
  const list = repair[LIST_OF[kind]];
  const position = list.findIndex((row) => row.id === id);
  const row = list[position]!;
  await database(LIST_OF[kind])
    .insert({ repair_id: repair.head.id, id, position, version: row.version, data: JSON.stringify(row) })
    .onConflict(['repair_id', 'id'])
    .merge(['version', 'data']);
}

/**
 * Writes the head of a repair that is there, and that it was touched. What lists show of it is worked out later (see
 * Summaries), since that takes longer the larger the repair is.
 */
export async function touchHead(database: Knex, { head }: Repair, now: string): Promise<void> {
  await database('repairs').where({ id: head.id }).update(columnsOf(head, now));
}

/** A head as it stands in its table; what lists show beside it is stale by that. */
const columnsOf = (head: RepairHead, now: string) => ({
  version: head.version,
  name: head.name,
  place: head.place,
  removed: head.removed,
  data: JSON.stringify(head),
  touched_at: now,
  stale: true,
});

/** Writes a repair that is not there yet, with all its rows. */
export async function writeWhole(database: Knex, repair: Repair, now: string): Promise<void> {
  const { head } = repair;
  await database('repairs').insert({
    id: head.id,
    ...columnsOf(head, now),
    stage: 'sizes',
    next: JSON.stringify({ do: 'sayWhatToMeasure' } satisfies NextThing),
    revision: null,
    search_id: database.raw('(select coalesce(max(search_id), 0) + 1 from repairs)'),
  });
  for (const list of LISTS) {
    const rows = repair[list].map((row, position) => ({
      repair_id: head.id,
      id: row.id,
      position,
      version: row.version,
      data: JSON.stringify(row),
    }));
    // Below SQLite's limit on parameters in one statement.
    if (rows.length > 0) await database.batchInsert(list, rows, 100);
  }
}

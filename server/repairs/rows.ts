import type { Knex } from 'knex';

import { LIST_OF, type Repair, type RepairHead, type RowKind } from '@core/model';
import { progressOf } from '@core/progress';
import { newestRevision } from '@core/revision';

import { ROW_TABLES } from '../database/migrations';

interface StoredRow {
  id: string;
  repair_id: string;
  position: number;
  data: string;
}

/** Reads a whole repair; null if there is none of that id. */
export async function loadRepair(database: Knex, id: string): Promise<Repair | null> {
  const head = await database<StoredRow>('repairs').select('data').where({ id }).first();
  if (!head) return null;
  const lists: Partial<Record<(typeof ROW_TABLES)[number], unknown[]>> = {};
  for (const table of ROW_TABLES) {
    const rows = await database<StoredRow>(table).select('data').where({ repair_id: id }).orderBy('position');
    lists[table] = rows.map((row) => JSON.parse(row.data) as unknown);
  }
  // What was written was parsed then; reading it back needs no second look.
  return { head: JSON.parse(head.data) as RepairHead, ...lists } as Repair;
}

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

/** Writes the head, what lists show of the repair, and the words it is found by. */
export async function writeHead(database: Knex, repair: Repair, now: string): Promise<void> {
  const { head } = repair;
  const { stage, next } = progressOf(repair);
  const row = {
    id: head.id,
    version: head.version,
    name: head.name,
    place: head.place,
    removed: head.removed,
    data: JSON.stringify(head),
    touched_at: now,
    stage,
    next,
    revision: newestRevision(repair)?.letter ?? null,
  };
  await database('repairs').insert(row).onConflict('id').merge();
  await database('repairs_search').where({ id: head.id }).delete();
  await database('repairs_search').insert({ id: head.id, words: wordsOf(repair) });
}

/** Writes a repair that is not there yet, with all its rows. */
export async function writeWhole(database: Knex, repair: Repair, now: string): Promise<void> {
  await writeHead(database, repair, now);
  for (const table of ROW_TABLES) {
    const rows = repair[table].map((row, position) => ({
      repair_id: repair.head.id,
      id: row.id,
      position,
      version: row.version,
      data: JSON.stringify(row),
    }));
    // Below SQLite's limit on parameters in one statement.
    await database.batchInsert(table, rows, 100);
  }
}

/** Everything a repair can be found by: its words, and its sizes as they are shown ("38.20"). */
function wordsOf(repair: Repair): string {
  const { head, sizes, bodies, readings } = repair;
  const current = <T extends { removed: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.removed);
  return [
    head.name,
    head.place,
    head.whatBroke,
    ...current(sizes).map((size) => size.name),
    ...current(bodies).map((body) => body.name),
    ...current(sizes).flatMap((size) => (size.given === null ? [] : [String(size.given)])),
    ...current(readings).map((reading) => reading.typed),
  ].join('\n');
}

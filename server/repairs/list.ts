import type { Knex } from 'knex';
import type { z } from 'zod';

import type { ListQuery, NextThing, Picture, RepairLine, RepairList, Stage } from '@core/record/model';

interface LineRow {
  id: string;
  name: string;
  place: string;
  touched_at: string;
  stage: Stage;
  /** A NextThing as JSON. */
  next: string;
  revision: string | null;
  picture: string | null;
  search_id: number;
}

/** As many as are counted, and as many found ones as are put in order of their last change. */
const COUNTED = 200;

/**
 * One page of the repairs that are not removed, or of those that are, newest change first. None of what it does grows
 * with the number of repairs: it counts no further than to COUNTED, and what is found more often than that comes in
 * the order in which the repairs were begun, newest first, which is the order of the index of words.
 */
export async function listRepairs(database: Knex, query: z.infer<typeof ListQuery>): Promise<RepairList> {
  const words = searchExpression(query.search);
  if (words === null || query.removed) return pageByChange(database, query, (rows) => rows);
  const found = await findWords(database, words, null, COUNTED + 1);
  return found.length <= COUNTED
    ? pageByChange(database, query, (rows) => rows.whereIn('search_id', found))
    : pageByBeginning(database, query, words);
}

const COLUMNS = [
  'id',
  'name',
  'place',
  'touched_at',
  'stage',
  'next',
  'revision',
  'picture',
  'search_id',
] as const;

async function pageByChange(
  database: Knex,
  { removed, limit, after }: z.infer<typeof ListQuery>,
  among: (rows: Knex.QueryBuilder) => Knex.QueryBuilder,
): Promise<RepairList> {
  const matching = () => among(database('repairs').where({ removed }));
  const page = matching()
    .select<LineRow[]>(...COLUMNS)
    .orderBy([
      { column: 'touched_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(limit + 1);
  const [touchedAt, id] = after?.split('|') ?? [];
  if (touchedAt !== undefined && id !== undefined) {
    void page.whereRaw('(touched_at, id) < (?, ?)', [touchedAt, id]);
  }
  const rows = await page;
  const counted = (await database.count({ count: '*' }).from(
    matching()
      .select('id')
      .limit(COUNTED + 1)
      .as('some'),
  )) as [{ count: number }];
  const { count } = counted[0];
  return pageOf(rows, limit, count, ({ touched_at, id: last }) => `${touched_at}|${last}`);
}

async function pageByBeginning(
  database: Knex,
  { limit, after }: z.infer<typeof ListQuery>,
  words: string,
): Promise<RepairList> {
  const before = /^\d+$/.test(after ?? '') ? Number(after) : null;
  const numbers = await findWords(database, words, before, limit + 1);
  const rows = await database('repairs')
    .select<LineRow[]>(...COLUMNS)
    .whereIn('search_id', numbers)
    .orderBy('search_id', 'desc');
  return pageOf(rows, limit, COUNTED + 1, ({ search_id }) => String(search_id));
}

function pageOf(
  rows: LineRow[],
  limit: number,
  count: number,
  cursor: (last: LineRow) => string,
): RepairList {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return {
    repairs: shown.map(lineOf),
    next: rows.length > limit && last ? cursor(last) : null,
    total: Math.min(count, COUNTED),
    more: count > COUNTED,
  };
}

/** Numbers of the repairs that have such words, newest first, before one of them; deleted ones have no words. */
async function findWords(
  database: Knex,
  words: string,
  before: number | null,
  limit: number,
): Promise<number[]> {
  const found = database<{ rowid: number }>('repairs_words')
    .select('rowid')
    .whereRaw('words match ?', [words])
    .orderBy('rowid', 'desc')
    .limit(limit);
  if (before !== null) void found.where('rowid', '<', before);
  return (await found).map(({ rowid }) => rowid);
}

function lineOf({ touched_at, next, picture, search_id: _number, ...row }: LineRow): RepairLine {
  return {
    ...row,
    updatedAt: touched_at,
    next: JSON.parse(next) as NextThing,
    picture: picture === null ? null : (JSON.parse(picture) as Picture),
  };
}

/** What was typed as a full-text expression: every word must begin a word. Null when nothing was typed. */
export function searchExpression(typed: string): string | null {
  const words = typed.match(/[\p{L}\p{N}.,]+/gu) ?? [];
  const useful = words.filter((word) => /[\p{L}\p{N}]/u.test(word));
  return useful.length === 0 ? null : useful.map((word) => `"${word}"*`).join(' ');
}

import type { Knex } from 'knex';
import type { z } from 'zod';

import type { ListQuery, Picture, RepairLine, RepairList, Stage } from '@core/model';

interface LineRow {
  id: string;
  name: string;
  place: string;
  touched_at: string;
  stage: Stage;
  next: string;
  revision: string | null;
  picture: string | null;
}

/** As many as are counted, and as many found ones as are put in order by themselves. */
const COUNTED = 200;

/**
 * One page of the repairs that are not removed, or of those that are, newest change first. None of what it does
 * grows with the number of repairs: it counts no further than to COUNTED, and what is found more often than that is
 * looked for along the list.
 */
export async function listRepairs(database: Knex, query: z.infer<typeof ListQuery>): Promise<RepairList> {
  const words = searchExpression(query.search);
  const found = words === null ? null : await findWords(database, words);
  const matching = () => {
    const rows = database('repairs').where({ removed: query.removed });
    if (found === null) return rows;
    if (found.length <= COUNTED) return rows.whereIn('search_id', found);
    return rows.whereRaw(
      'exists (select 1 from repairs_words where words match ? and repairs_words.rowid = repairs.search_id)',
      [words!],
    );
  };
  const page = matching()
    .select<LineRow[]>('id', 'name', 'place', 'touched_at', 'stage', 'next', 'revision', 'picture')
    .orderBy([
      { column: 'touched_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(query.limit + 1);
  const [touchedAt, id] = query.after?.split('|') ?? [];
  if (touchedAt !== undefined && id !== undefined) {
    void page.whereRaw('(touched_at, id) < (?, ?)', [touchedAt, id]);
  }
  const rows = await page;
  const shown = rows.slice(0, query.limit);
  const last = shown.at(-1);
  const counted = await database.count<{ count: number }[]>({ count: '*' }).from(
    matching()
      .select('id')
      .limit(COUNTED + 1)
      .as('some'),
  );
  const total = Math.min(counted[0]!.count, COUNTED);
  return {
    repairs: shown.map(lineOf),
    next: rows.length > query.limit && last ? `${last.touched_at}|${last.id}` : null,
    total,
    more: counted[0]!.count > COUNTED,
  };
}

/** Numbers of the repairs that have such words, at most one more than are put in order by themselves. */
async function findWords(database: Knex, words: string): Promise<number[]> {
  const rows = await database<{ rowid: number }>('repairs_words')
    .select('rowid')
    .whereRaw('words match ?', [words])
    .limit(COUNTED + 1);
  return rows.map(({ rowid }) => rowid);
}

function lineOf({ touched_at, picture, ...row }: LineRow): RepairLine {
  return {
    ...row,
    updatedAt: touched_at,
    picture: picture === null ? null : (JSON.parse(picture) as Picture),
  };
}

/** What was typed as a full-text expression: every word must begin a word. Null when nothing was typed. */
export function searchExpression(typed: string): string | null {
  const words = typed.match(/[\p{L}\p{N}.,]+/gu) ?? [];
  const useful = words.filter((word) => /[\p{L}\p{N}]/u.test(word));
  return useful.length === 0 ? null : useful.map((word) => `"${word}"*`).join(' ');
}

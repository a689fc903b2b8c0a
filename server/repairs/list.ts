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

/** One page of the repairs that are not removed, newest change first. */
export async function listRepairs(database: Knex, query: z.infer<typeof ListQuery>): Promise<RepairList> {
  const matching = () => {
    const rows = database('repairs').where({ removed: false });
    const words = searchExpression(query.search);
    return words === null
      ? rows
      : rows.whereIn('id', database('repairs_search').select('id').whereRaw('words match ?', [words]));
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
  const total = (await matching().count<{ count: number }[]>({ count: '*' }))[0]!.count;
  return {
    repairs: shown.map(lineOf),
    next: rows.length > query.limit && last ? `${last.touched_at}|${last.id}` : null,
    total,
  };
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

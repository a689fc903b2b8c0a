import type { Knex } from 'knex';

import { bodyInPresentWords, revisionInPresentWords } from '@core/record/model';

import type { Migration } from './migration';

type Row = Record<string, unknown>;

/** Steps are called by the words of the field, as in version 9 of the repair file; in what revisions froze as well. */
export const stepsInWordsOfTheField: Migration = {
  name: '005-steps-in-words-of-the-field',
  async up(knex) {
    await rewrite(knex, 'bodies', bodyInPresentWords);
    await rewrite(knex, 'revisions', revisionInPresentWords);
  },
};

async function rewrite(knex: Knex, table: string, change: (row: Row) => Row): Promise<void> {
  const keys = await knex<{ repair_id: string; id: string }>(table).select('repair_id', 'id');
  for (const key of keys) {
    const row = await knex<{ data: string }>(table).where(key).first('data');
    if (!row) continue;
    const data = JSON.stringify(change(JSON.parse(row.data) as Row));
    if (data !== row.data) await knex(table).where(key).update({ data });
  }
}

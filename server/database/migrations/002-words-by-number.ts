import type { Knex } from 'knex';

import { presentRow } from '@core/record/model';

import type { Migration } from './migration';

const LATER_LISTS = ['layouts', 'chains', 'photos'] as const;

/**
 * The words that a repair is found by go by a number, with an index of beginnings; what lists show is worked out after
 * a change, and `stale` until then. A database of the first weeks gets the tables that it lacks.
 */
export const wordsByNumber: Migration = {
  name: '002-words-by-number',
  async up(knex) {
    await completeFirstForm(knex);
    await knex.schema.alterTable('repairs', (table) => {
      table.integer('search_id');
      table.boolean('stale').notNullable().defaultTo(false);
    });
    await knex.raw('update repairs set search_id = rowid');
    await knex.raw('create unique index repairs_search_id on repairs (search_id)');
    await knex.raw('create index repairs_stale on repairs (id) where stale');
    await knex.raw(
      `create virtual table repairs_words using fts5(words, prefix = '1 2 3', tokenize = "unicode61 remove_diacritics 2")`,
    );
    await knex.raw(
      `insert into repairs_words (rowid, words)
       select search_id, words from repairs_search join repairs on repairs.id = repairs_search.id
       where not repairs.removed`,
    );
    await knex.schema.dropTable('repairs_search');
    await knex.schema.createTable('health', (table) => {
      table.integer('id').primary();
      table.integer('count').notNullable();
    });
  },
};

/** In its first weeks 001 made fewer tables, and rows had less in them. */
async function completeFirstForm(knex: Knex): Promise<void> {
  if (await knex.schema.hasTable('layouts')) return;
  for (const name of LATER_LISTS) {
    await knex.schema.createTable(name, (table) => {
      table.text('repair_id').notNullable().references('repairs.id').onDelete('CASCADE');
      table.text('id').notNullable();
      table.integer('position').notNullable();
      table.integer('version').notNullable();
      table.text('data').notNullable();
      table.primary(['repair_id', 'id']);
    });
  }
  await knex.schema.createTable('workshop_rows', (table) => {
    table.text('kind').notNullable();
    table.text('id').notNullable();
    table.integer('version').notNullable();
    table.text('data').notNullable();
    table.primary(['kind', 'id']);
  });
  await knex.schema.createTable('applied_workshop_changes', (table) => {
    table.text('change_id').primary();
    table.text('reply').notNullable();
    table.text('applied_at').notNullable().index();
  });
  // What was acknowledged then was in the first form as well, and nobody waits for those answers any more.
  await knex('applied_changes').delete();
  for (const list of ['sizes', 'readings', 'fits', 'revisions'] as const) {
    const rows = await knex<{ repair_id: string; id: string; data: string }>(list).select(
      'repair_id',
      'id',
      'data',
    );
    for (const { repair_id, id, data } of rows) {
      const present = presentRow(list, JSON.parse(data) as Record<string, unknown>);
      await knex(list)
        .where({ repair_id, id })
        .update({ data: JSON.stringify(present) });
    }
  }
}

import type { Migration } from './migration';

/** The lists that there were then. */
const LISTS = ['sizes', 'readings', 'layouts', 'fits', 'chains', 'photos', 'bodies', 'revisions'] as const;

export const firstTables: Migration = {
  name: '001-first-tables',
  async up(knex) {
    await knex.schema.createTable('repairs', (table) => {
      table.text('id').primary();
      table.integer('version').notNullable();
      table.text('name').notNullable();
      table.text('place').notNullable();
      table.boolean('removed').notNullable();
      // The head of the repair as JSON; the columns beside it serve lists and searches.
      table.text('data').notNullable();
      table.text('touched_at').notNullable();
      table.text('stage').notNullable();
      table.text('next').notNullable();
      table.text('revision');
      table.text('picture');
      table.index(['removed', 'touched_at', 'id']);
    });
    for (const name of LISTS) {
      await knex.schema.createTable(name, (table) => {
        table.text('repair_id').notNullable().references('repairs.id').onDelete('CASCADE');
        table.text('id').notNullable();
        table.integer('position').notNullable();
        table.integer('version').notNullable();
        table.text('data').notNullable();
        table.primary(['repair_id', 'id']);
      });
    }
    await knex.schema.createTable('applied_changes', (table) => {
      table.text('change_id').primary();
      table.text('repair_id').notNullable().references('repairs.id').onDelete('CASCADE');
      table.text('reply').notNullable();
      table.text('applied_at').notNullable().index();
    });
    // Instruments, machines and fits of the workshop; rows that were never changed are not here but in the code.
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
    await knex.raw(
      `create virtual table repairs_search using fts5(id unindexed, words, tokenize = "unicode61 remove_diacritics 2")`,
    );
  },
};

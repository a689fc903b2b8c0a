import type { Knex } from 'knex';

interface Migration {
  name: string;
  up(knex: Knex): Promise<void>;
  down(knex: Knex): Promise<void>;
}

/** Tables that hold the rows of a repair, one kind each. */
export const ROW_TABLES = [
  'sizes',
  'readings',
  'layouts',
  'fits',
  'chains',
  'photos',
  'bodies',
  'revisions',
] as const;

const firstTables: Migration = {
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
    for (const name of ROW_TABLES) {
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
  async down(knex) {
    const others = ['repairs_search', 'applied_changes', 'applied_workshop_changes', 'workshop_rows'];
    for (const name of [...others, ...ROW_TABLES, 'repairs']) {
      await knex.schema.dropTable(name);
    }
  },
};

/** All migrations, oldest first. */
const MIGRATIONS: readonly Migration[] = [firstTables];

/** Hands Knex the migrations as code, so that they are bundled and typed like the rest. */
export const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve([...MIGRATIONS]),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) => Promise.resolve(migration),
};

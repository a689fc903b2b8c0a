import type { Migration } from './migration';

/** Scans of the broken piece are rows of their repair; their meshes lie as files beside the database. */
export const scans: Migration = {
  name: '007-scans',
  async up(knex) {
    await knex.schema.createTable('scans', (table) => {
      table.text('repair_id').notNullable().references('repairs.id').onDelete('CASCADE');
      table.text('id').notNullable();
      table.integer('position').notNullable();
      table.integer('version').notNullable();
      table.text('data').notNullable();
      table.primary(['repair_id', 'id']);
    });
  },
};

import type { Migration } from './migration';

/** Trials of made parts are rows of their repair. Jobs and what machines made are the workshop's: they outlive a repair that is deleted. */
export const trials: Migration = {
  name: '004-trials',
  async up(knex) {
    await knex.schema.createTable('trials', (table) => {
      table.text('repair_id').notNullable().references('repairs.id').onDelete('CASCADE');
      table.text('id').notNullable();
      table.integer('position').notNullable();
      table.integer('version').notNullable();
      table.text('data').notNullable();
      table.primary(['repair_id', 'id']);
    });
    await knex.schema.createTable('jobs', (table) => {
      table.text('id').primary();
      table.text('repair_id').notNullable();
      table.text('machine_id').notNullable();
      table.text('state').notNullable();
      table.text('data').notNullable();
      // What the machine is given: read when the job starts, and kept to make it again.
      table.text('gcode').notNullable();
      table.text('asked_at').notNullable();
      table.index(['state', 'asked_at']);
    });
    await knex.schema.createTable('made_parts', (table) => {
      table.text('id').primary();
      table.text('job_id').notNullable().references('jobs.id').onDelete('CASCADE');
      // As it truly is: only the practice devices look into it.
      table.text('truth').notNullable();
      table.text('made_at').notNullable();
    });
  },
};

import type { Migration } from './migration';

/** What a machine is given lies as a file beside the database, named here by its hash; what was written into the row before is moved out in between. */
export const jobsAsFiles: Migration = {
  name: '008-jobs-as-files',
  async up(knex) {
    await knex.schema.alterTable('jobs', (table) => {
      table.text('gcode_file').nullable();
    });
  },
};

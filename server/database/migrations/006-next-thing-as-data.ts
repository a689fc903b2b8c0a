import type { Migration } from './migration';

/** What is next for a repair is data, and no sentence any more: each is summed up once more before the next list is read. */
export const nextThingAsData: Migration = {
  name: '006-next-thing-as-data',
  async up(knex) {
    await knex('repairs').update({ stale: true });
  },
};

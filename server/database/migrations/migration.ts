import type { Knex } from 'knex';

/**
 * One step from an older database to a newer one. It is never edited once it has landed, and there is no way back: a
 * change of mind is another step. `frozen/` holds databases as they were before each, which the tests open.
 */
export interface Migration {
  name: string;
  up(knex: Knex): Promise<void>;
}

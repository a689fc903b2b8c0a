import type { Knex } from 'knex';

import { Trouble } from '../../trouble';
import { firstTables } from './001-first-tables';
import { wordsByNumber } from './002-words-by-number';
import { keepMachine } from './003-keep-machine';
import { trials } from './004-trials';
import { stepsInWordsOfTheField } from './005-steps-in-words-of-the-field';
import { nextThingAsData } from './006-next-thing-as-data';
import { scans } from './007-scans';
import { jobsAsFiles } from './008-jobs-as-files';
import type { Migration } from './migration';

/** All migrations, oldest first. New ones are added at the end; those that stand are never edited. */
const MIGRATIONS: readonly Migration[] = [
  firstTables,
  wordsByNumber,
  keepMachine,
  trials,
  stepsInWordsOfTheField,
  nextThingAsData,
  scans,
  jobsAsFiles,
];

const HISTORY = 'knex_migrations';

/** Hands Knex the migrations as code, so that they are bundled and typed like the rest. */
const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve([...MIGRATIONS]),
  getMigrationName: ({ name }) => name,
  getMigration: ({ name, up }) =>
    Promise.resolve({ up, down: () => Promise.reject(new Error(`${name} has no way back`)) }),
};

/**
 * Brings a database up to date; one that a later program wrote is left as it is.
 * @throws Trouble `server.newerData`.
 */
export async function migrate(knex: Knex, where: string): Promise<void> {
  if (await knex.schema.hasTable(HISTORY)) {
    const done = await knex<{ name: string }>(HISTORY).select('name');
    const known = new Set(MIGRATIONS.map(({ name }) => name));
    if (done.some(({ name }) => !known.has(name))) {
      throw new Trouble({
        code: 'server.newerData',
        where,
        known: MIGRATIONS.length,
        found: done.length,
      });
    }
    // Nobody else is at work here; a lock that stands is of a server that was ended while it migrated.
    await knex.migrate.forceFreeMigrationsLock({ migrationSource });
  }
  await knex.migrate.latest({ migrationSource });
}

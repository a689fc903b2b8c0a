import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import knex, { type Knex } from 'knex';

import { LibsqlDialect } from './libsqlDialect';
import { migrationSource } from './migrations';

/** Opens the database in a folder (`:memory:` for none), brings it up to date and switches on its guards. */
export async function openDatabase(folder: string): Promise<Knex> {
  const inMemory = folder === ':memory:';
  if (!inMemory) mkdirSync(folder, { recursive: true });
  const database = knex({
    client: LibsqlDialect as unknown as typeof Knex.Client,
    connection: { filename: inMemory ? ':memory:' : join(folder, 'even-spare.sqlite') },
    useNullAsDefault: true,
    // One connection: SQLite has one writer, and a transaction then keeps everybody else out.
    pool: { min: 1, max: 1 },
  });
  await database.raw('pragma foreign_keys = on');
  if (!inMemory) {
    await database.raw('pragma journal_mode = wal');
    await database.raw('pragma synchronous = normal');
  }
  await database.migrate.latest({ migrationSource });
  return database;
}

import {
  accessSync,
  closeSync,
  constants,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

import knex, { type Knex } from 'knex';

import { Database } from './database';
import { LibsqlDialect, type Connection } from './libsqlDialect';
import { migrate } from './migrations';
import { storageFault } from './storageFault';
import { Trouble } from '../trouble';

export const DATABASE_FILE = 'even-spare.sqlite';
export const PHOTO_FOLDER = 'photos';
export const SCAN_FOLDER = 'scans';
export const JOB_FOLDER = 'jobs';
/** Says that the database was made whole once: empty after that, it was cut off. */
const BEGUN_FILE = '.begun';

/** How a database is kept; the usual one loses nothing that was acknowledged, even when the power goes. */
export interface Keeping {
  /** Whether every change is on the disk before it is acknowledged. Without it only the bench works. */
  synced: boolean;
}

/**
 * Opens the database in a folder (`:memory:` for none), looks whether it is sound and brings it up to date.
 * @throws Trouble when it is not to be opened; then nothing was changed.
 */
export async function openDatabase(
  folder: string,
  { synced }: Keeping = { synced: true },
): Promise<Database> {
  const file = folder === ':memory:' ? null : join(folder, DATABASE_FILE);
  if (file !== null) {
    makeFolder(folder);
    mustBeWhole(folder, file);
  }
  const connections = knex({
    client: LibsqlDialect as unknown as typeof Knex.Client,
    connection: { filename: file ?? ':memory:' },
    useNullAsDefault: true,
    // Whatever goes wrong is thrown as well, and told there.
    log: { error: () => {}, warn: () => {} },
    pool: {
      // One connection: SQLite has one writer, and a transaction then keeps everybody else out.
      min: 1,
      max: 1,
      afterCreate: (connection: Connection, done: (error: Error | null, connection: Connection) => void) => {
        try {
          prepare(connection, file !== null, synced);
          done(null, connection);
        } catch (error) {
          done(error as Error, connection);
        }
      },
    },
  });
  try {
    if (file !== null) await mustBeSound(connections, file);
    await migrate(connections, file ?? 'memory');
  } catch (error) {
    await connections.destroy();
    const fault = storageFault(error, file ?? 'memory');
    throw fault ? new Trouble(fault, { cause: error }) : error;
  }
  if (file !== null) {
    writeFileSync(join(folder, BEGUN_FILE), '');
    syncFolder(folder);
  }
  return new Database(connections, file);
}

function prepare(connection: Connection, onDisk: boolean, synced: boolean): void {
  // A lock is waited for without holding everybody else up (see Database).
  connection.pragma('busy_timeout = 20');
  connection.pragma('foreign_keys = on');
  if (!onDisk) return;
  connection.pragma('journal_mode = wal');
  connection.pragma(`synchronous = ${synced ? 'full' : 'off'}`);
}

/**
 * Makes the folder that a workshop is kept in, if it is not there.
 * @throws Trouble when it can't be made, or can't be written in.
 */
export function makeFolder(folder: string): void {
  try {
    // What people keep in it is theirs alone.
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new Trouble(storageFault(error, folder) ?? { code: 'server.notAFolder', where: folder }, {
      cause: error,
    });
  }
}

/** Refuses a folder in which a workshop's database is missing or was cut off. */
function mustBeWhole(folder: string, file: string): void {
  const there = statSync(file, { throwIfNoEntry: false });
  const hasFiles = (own: string, extension: string) =>
    existsSync(join(folder, own)) && readdirSync(join(folder, own)).some((name) => name.endsWith(extension));
  const hasPhotos = hasFiles(PHOTO_FOLDER, '.jpg') || hasFiles(SCAN_FOLDER, '.ply');
  // Stopped in its very first moments it leaves an empty one: that is begun again.
  if (there?.size === 0 && (hasPhotos || existsSync(join(folder, BEGUN_FILE)))) {
    throw new Trouble({ code: 'server.cut', where: file });
  }
  if (!there && hasPhotos) throw new Trouble({ code: 'server.photosWithoutData', where: file });
}

/** SQLite's own look over the whole file: about a second for a gigabyte. */
async function mustBeSound(connections: Knex, file: string): Promise<void> {
  const [first] = (await connections.raw('pragma quick_check(1)')) as { quick_check: string }[];
  if (first && first.quick_check !== 'ok') {
    throw new Trouble({ code: 'server.damaged', where: file, found: first.quick_check });
  }
}

/** So that a file that was just made is still there after the power went. */
export function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

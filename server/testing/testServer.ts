import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import pino from 'pino';

import { practiceCaliper } from '@devices/practiceCaliper';
import { createApp } from '@server/app';
import { openDatabase } from '@server/database/open';
import { PhotoStore } from '@server/photos/store';
import { RepairStore } from '@server/repairs/store';
import { WorkshopStore } from '@server/workshop/store';

/** A clock that moves on a second whenever it is asked, and names in a row. */
export function testSurroundings() {
  let clock = 0;
  return {
    now: () => new Date(Date.UTC(2026, 4, 4) + (clock += 1000)).toISOString(),
    newId: () => `id-${(clock += 1)}`,
  };
}

/**
 * The whole server for tests, without a port. Its database is in memory unless it is given a folder; its practice
 * caliper always scatters alike.
 */
export async function openTestServer(surroundings = testSurroundings(), dataFolder = ':memory:') {
  const database = await openDatabase(dataFolder);
  const photoFolder = mkdtempSync(join(tmpdir(), 'even-spare-photos-'));
  const photos = new PhotoStore(photoFolder);
  const troubles: unknown[] = [];
  const store = new RepairStore(database, surroundings, photos, (error) => troubles.push(error));
  const app = createApp({
    store,
    workshop: new WorkshopStore(database, surroundings),
    photos,
    devices: [{ path: '/practice-caliper', routes: practiceCaliper(() => 0.5) }],
    surroundings,
    database,
    guard: { host: '127.0.0.1', passphrase: null },
    webFolder: '/nonexistent',
    dataFolder,
    log: pino({ level: 'silent' }),
  });
  return {
    app,
    database,
    photos,
    store,
    /** What went wrong while lists were brought up to date. */
    troubles,
    photoFolder,
    async close() {
      store.summaries.stop();
      await database.close();
      rmSync(photoFolder, { recursive: true });
    },
  };
}
export type TestServer = Awaited<ReturnType<typeof openTestServer>>;

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
  const app = createApp({
    store: new RepairStore(database, surroundings),
    workshop: new WorkshopStore(database, surroundings),
    photos: new PhotoStore(photoFolder),
    devices: [{ path: '/practice-caliper', routes: practiceCaliper(() => 0.5) }],
    surroundings,
    webFolder: '/nonexistent',
    log: pino({ level: 'silent' }),
  });
  return {
    app,
    database,
    photoFolder,
    async close() {
      await database.destroy();
      rmSync(photoFolder, { recursive: true });
    },
  };
}
export type TestServer = Awaited<ReturnType<typeof openTestServer>>;

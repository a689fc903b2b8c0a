import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import pino from 'pino';

import { createApp } from '@server/app';
import { openDatabase } from '@server/database/open';
import { JobQueue } from '@server/jobs/queue';
import { JobPrograms } from '@server/jobs/programs';
import { JobStore } from '@server/jobs/store';
import { PhotoStore } from '@server/photos/store';
import { practiceDevices, type PracticeWorld } from '@server/practiceDevices';
import { RepairStore } from '@server/repairs/store';
import { ScanStore } from '@server/scans/store';
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
export async function openTestServer(
  surroundings = testSurroundings(),
  dataFolder = ':memory:',
  practice: Partial<PracticeWorld> = {},
) {
  const database = await openDatabase(dataFolder);
  const passes = dataFolder === ':memory:';
  const fileFolder = passes ? mkdtempSync(join(tmpdir(), 'even-spare-files-')) : dataFolder;
  const photoFolder = join(fileFolder, 'photos');
  mkdirSync(photoFolder, { recursive: true });
  const photos = new PhotoStore(photoFolder);
  const scans = new ScanStore(join(fileFolder, 'scans'));
  const files = { pictures: photos.files, scans: scans.files };
  const troubles: unknown[] = [];
  const store = new RepairStore(database, surroundings, files, (error) => troubles.push(error));
  const made = new JobStore(database, new JobPrograms(join(fileFolder, 'jobs')));
  const world: PracticeWorld = { now: () => 0, random: () => 0.5, every: () => () => {}, ...practice };
  const { printer, devices } = practiceDevices(made, world);
  const jobs = new JobQueue(made, printer, surroundings, (error) => troubles.push(error));
  await jobs.begin();
  const app = createApp({
    store,
    jobs,
    workshop: new WorkshopStore(database, surroundings),
    photos,
    scans,
    devices,
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
    scans,
    store,
    jobs,
    made,
    /** What went wrong while lists were brought up to date. */
    troubles,
    photoFolder,
    async close() {
      store.summaries.stop();
      await jobs.stop();
      await database.close();
      if (passes) rmSync(fileFolder, { recursive: true });
    },
  };
}
export type TestServer = Awaited<ReturnType<typeof openTestServer>>;

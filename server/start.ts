import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';

import type { Logger } from 'pino';

import { createApp } from './app';
import type { Config } from './config';
import type { Database } from './database/database';
import { lockFolder, type FolderLock } from './database/folderLock';
import { makeFolder, openDatabase, JOB_FOLDER, PHOTO_FOLDER, SCAN_FOLDER } from './database/open';
import { JobQueue } from './jobs/queue';
import { JobPrograms } from './jobs/programs';
import { JobStore } from './jobs/store';
import { PhotoStore } from './photos/store';
import { practiceDevices, realPracticeWorld } from './practiceDevices';
import { RepairStore } from './repairs/store';
import { ScanStore } from './scans/store';
import type { Surroundings } from './surroundings';
import { Trouble } from './trouble';
import { WorkshopStore } from './workshop/store';

/** A server that is running. */
export interface RunningServer {
  address: string;
  store: RepairStore;
  stop(): Promise<void>;
}

const realSurroundings: Surroundings = {
  now: () => new Date().toISOString(),
  newId: () => randomUUID(),
};

/**
 * Locks the folder, opens the database and listens.
 * @throws Trouble when it can't; then nothing was changed.
 */
export async function startServer(
  config: Config,
  log: Logger,
  surroundings: Surroundings = realSurroundings,
): Promise<RunningServer> {
  makeFolder(config.dataFolder);
  const lock = lockFolder(config.dataFolder);
  try {
    const database = await openDatabase(config.dataFolder, config.keeping);
    try {
      return await serve(config, log, surroundings, database, lock);
    } catch (error) {
      await database.close();
      throw error;
    }
  } catch (error) {
    lock.release();
    throw error;
  }
}

const SWEPT_EVERY_MS = 24 * 60 * 60 * 1000;

async function serve(
  config: Config,
  log: Logger,
  surroundings: Surroundings,
  database: Database,
  lock: FolderLock,
): Promise<RunningServer> {
  const onTrouble = (error: unknown) =>
    log.error({ err: error }, 'clean-up in the background failed: lists, or files without a row');
  const photos = new PhotoStore(join(config.dataFolder, PHOTO_FOLDER));
  const scans = new ScanStore(join(config.dataFolder, SCAN_FOLDER));
  const files = { pictures: photos.files, scans: scans.files };
  const store = new RepairStore(database, surroundings, files, onTrouble);
  await store.forgetOldChanges();
  const made = new JobStore(database, new JobPrograms(join(config.dataFolder, JOB_FOLDER)));
  const sweep = async () => {
    const now = Date.parse(surroundings.now());
    const swept = await photos.files.sweep(await store.usedPictures(), now);
    if (swept > 0) log.info({ swept }, 'pictures without a photo were deleted');
    const sweptScans = await scans.files.sweep(await store.usedScans(), now);
    if (sweptScans > 0) log.info({ swept: sweptScans }, 'files of scans without a repair were deleted');
    const sweptJobs = await made.sweep(surroundings.now());
    if (sweptJobs > 0) log.info({ swept: sweptJobs }, 'G-code of old jobs was deleted');
  };
  await sweep();
  const sweeping = setInterval(() => void sweep().catch(onTrouble), SWEPT_EVERY_MS).unref();
  store.summaries.soon();
  const { printer, devices } = practiceDevices(made, realPracticeWorld);
  const jobs = new JobQueue(made, printer, surroundings, onTrouble);
  await jobs.begin();
  const app = createApp({
    store,
    jobs,
    workshop: new WorkshopStore(database, surroundings),
    photos,
    scans,
    devices,
    database,
    guard: config,
    surroundings,
    webFolder: config.webFolder,
    dataFolder: config.dataFolder,
    log,
  });
  const server = app.listen(config.port, config.host);
  await new Promise<void>((resolve, reject) => {
    server.once('listening', resolve);
    server.once('error', (error: NodeJS.ErrnoException) => reject(listeningTrouble(error, config)));
  });
  const { port } = server.address() as AddressInfo;
  const host = config.host.includes(':') ? `[${config.host}]` : config.host;
  const address = `http://${host}:${port}`;
  lock.announce(address);
  return {
    address,
    store,
    async stop() {
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      server.closeAllConnections();
      await closed;
      clearInterval(sweeping);
      store.summaries.stop();
      await jobs.stop();
      await database.close();
      lock.release();
    },
  };
}

function listeningTrouble(error: NodeJS.ErrnoException, { port, host }: Config): Error {
  if (error.code === 'EADDRINUSE') return new Trouble({ code: 'server.portTaken', port });
  if (error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND' || error.code === 'EAI_AGAIN') {
    return new Trouble({ code: 'server.noSuchAddress', host });
  }
  return error;
}

import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';

import type { Logger } from 'pino';

import { practiceCaliper } from '@devices/practiceCaliper';

import { createApp } from './app';
import type { Config } from './config';
import { openDatabase } from './database/open';
import { PhotoStore } from './photos/store';
import { RepairStore, type Surroundings } from './repairs/store';
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

/** Opens the database and listens. */
export async function startServer(
  config: Config,
  log: Logger,
  surroundings: Surroundings = realSurroundings,
): Promise<RunningServer> {
  const database = await openDatabase(config.dataFolder);
  const store = new RepairStore(database, surroundings);
  await store.forgetOldChanges();
  const app = createApp({
    store,
    workshop: new WorkshopStore(database, surroundings),
    photos: new PhotoStore(join(config.dataFolder, 'photos')),
    devices: [{ path: '/practice-caliper', routes: practiceCaliper(Math.random) }],
    surroundings,
    webFolder: config.webFolder,
    log,
  });
  const server = app.listen(config.port, config.host);
  await new Promise<void>((resolve, reject) => {
    server.once('listening', resolve);
    server.once('error', reject);
  });
  const { port } = server.address() as AddressInfo;
  const host = config.host.includes(':') ? `[${config.host}]` : config.host;
  return {
    address: `http://${host}:${port}`,
    store,
    async stop() {
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      server.closeAllConnections();
      await closed;
      await database.destroy();
    },
  };
}

import pino from 'pino';

import { readConfig } from './config';
import { explainFailure, keepRunning, stopOnSignal } from './lifetime';
import { startServer } from './start';

/** Files that are made are their owner's alone. */
const OWNER_ONLY = 0o077;

async function main(): Promise<void> {
  process.umask(OWNER_ONLY);
  const log = pino({ level: 'info' });
  keepRunning(log);
  const server = await startServer(readConfig(process.env), log);
  console.log(`Even Spare is at ${server.address}`);
  stopOnSignal(server);
}

main().catch(explainFailure);

import pino from 'pino';

import { readConfig } from './config';
import { explainFailure, prepareProcess, stopOnSignal } from './lifetime';
import { startServer } from './start';

async function main(): Promise<void> {
  const log = pino({ level: 'info' });
  prepareProcess(log);
  const server = await startServer(readConfig(process.env), log);
  console.log(`Even Spare is at ${server.address}`);
  stopOnSignal(server);
}

main().catch(explainFailure);

import pino from 'pino';

import { readConfig } from './config';
import { explainFailure, stopOnSignal } from './lifetime';
import { startServer } from './start';

async function main(): Promise<void> {
  const server = await startServer(readConfig(process.env), pino({ level: 'info' }));
  console.log(`Even Spare is at ${server.address}`);
  stopOnSignal(server);
}

main().catch(explainFailure);

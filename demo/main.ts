import { mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import pino from 'pino';

import { readConfig } from '@server/config';
import { explainFailure, prepareProcess, stopOnSignal } from '@server/lifetime';
import { startServer } from '@server/start';

import { fillWorkshop } from './fillWorkshop';

/** Serves the demo workshop, filling it the first time. */
async function main(): Promise<void> {
  const config = readConfig({ EVEN_SPARE_DATA: 'data/demo', ...process.env });
  const log = pino({ level: 'warn' });
  prepareProcess(log);
  mkdirSync(config.dataFolder, { recursive: true });
  const server = await startServer(config, log);
  const folder = join(__dirname, 'repairs');
  const files = readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .map((name) => readFileSync(join(folder, name), 'utf8'));
  const filled = await fillWorkshop(server.address, files, (line) => console.log(`  ${line}`));
  if (!filled) console.log('  The workshop is as you left it. Remove data/demo to begin afresh.');
  console.log(`\nEven Spare is at ${server.address}\nStop it with Ctrl+C.`);
  stopOnSignal(server);
}

main().catch(explainFailure);

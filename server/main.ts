import pino from 'pino';

import { readConfig } from './config';
import { startServer } from './start';

async function main(): Promise<void> {
  const log = pino({ level: 'info' });
  const server = await startServer(readConfig(process.env), log);
  console.log(`Even Spare is at ${server.address}`);
  const stop = () => void server.stop().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

main().catch((error: Error & { code?: string }) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? 'The port is taken by another program. Set EVEN_SPARE_PORT to a free one, for example 4871.'
      : `The server could not start: ${error.message}`,
  );
  process.exit(1);
});

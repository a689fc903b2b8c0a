import { randomUUID } from 'node:crypto';

import type { Logger } from 'pino';

import type { RunningServer } from './start';
import { Trouble } from './trouble';

/** Closes the database in order when the program is told to stop. */
export function stopOnSignal(server: RunningServer): void {
  const stop = () =>
    void server.stop().then(
      () => process.exit(0),
      (error: Error) => explainFailure(error),
    );
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** Files that are made are their owner's alone. */
const OWNER_ONLY = 0o077;

/**
 * Before a server starts. What goes wrong outside every request, in a timer or a stream, is written down with a report and ends nothing: whatever was acknowledged is in the database,
 * and others are at work.
 */
export function prepareProcess(log: Pick<Logger, 'error'>): void {
  process.umask(OWNER_ONLY);
  for (const event of ['uncaughtException', 'unhandledRejection'] as const) {
    process.on(event, (error: unknown) =>
      log.error({ err: error, report: randomUUID().slice(0, 8) }, 'something outside every request failed'),
    );
  }
}

/** Ends the program with a sentence about why it could not go on. */
export function explainFailure(error: Error): void {
  if (error instanceof Trouble) console.error(error.message);
  else
    console.error(`Even Spare could not start, through a fault of its own:\n${error.stack ?? error.message}`);
  process.exit(1);
}

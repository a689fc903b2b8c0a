import type { RunningServer } from './start';

/** Closes the database in order when the program is told to stop. */
export function stopOnSignal(server: RunningServer): void {
  const stop = () => void server.stop().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** Ends the program with a sentence about why it could not start. */
export function explainFailure(error: Error & { code?: string }): void {
  console.error(
    error.code === 'EADDRINUSE'
      ? 'The port is taken by another program. Set EVEN_SPARE_PORT to a free one, for example 4871.'
      : `The server could not start: ${error.message}`,
  );
  process.exit(1);
}

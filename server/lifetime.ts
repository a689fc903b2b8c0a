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

/** Ends the program with a sentence about why it could not go on. */
export function explainFailure(error: Error): void {
  if (error instanceof Trouble) console.error(error.message);
  else console.error(`Even Spare could not start, for a reason of its own:\n${error.stack ?? error.message}`);
  process.exit(1);
}

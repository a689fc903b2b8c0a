import type { Job, KeptGcode } from '@core/record/model';

import { fileSize } from './fileSize';
import { minutesText } from './layers';

const REASONS: Record<NonNullable<Job['reason']>, string> = {
  person: 'as you asked',
  filament: 'the filament ran out; load more, then go on',
  adhesion: 'the part came off the bed; clean the bed or add a brim, then send the job again',
  serverStopped: 'the server was stopped meanwhile; look at the machine, then go on or cancel',
  noJob: 'this file prints nothing; slice the part again, then send that',
  machineBusy: 'the machine is printing another job',
  broken: 'the practice printer had a fault of its own',
};

/** Where a job is, in a sentence. */
export function jobStateSentence({ id, state, share, layer, secondsLeft, reason, machineName }: Job): string {
  const done = `${Math.floor(100 * share)} %`;
  const because =
    reason === null
      ? ''
      : `: ${REASONS[reason]}${reason === 'broken' ? ` (report ${id}); send it again` : ''}`;
  switch (state) {
    case 'waiting':
      return `Waits for ${machineName}.`;
    case 'running': {
      const left = secondsLeft === null ? '' : `, ${minutesText(secondsLeft / 60)} left`;
      return `On ${machineName}, ${done}, layer ${layer + 1}${left}.`;
    }
    case 'paused':
      return `Paused at ${done}${because}.`;
    case 'done':
      return 'Printed. The part is on the practice bench, ready to measure.';
    case 'failed':
      return `Failed at ${done}${because}.`;
    case 'cancelled':
      return `Cancelled at ${done}.`;
  }
}

/** How much of what machines were given is kept. */
export const keptGcodeSentence = ({ jobs, bytes }: KeptGcode): string =>
  jobs === 0
    ? 'No G-code is kept.'
    : `The G-code of ${jobs === 1 ? 'one job' : `${jobs} jobs`} is kept: ${fileSize(bytes)}.`;

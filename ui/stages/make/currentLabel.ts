import type { Repair, Workshop } from '@core/record/model';
import { frozenLetter } from '@core/reporting/progress';
import { newestRevision } from '@core/reporting/revision';

/** "Rev B" while the repair is as it was frozen, "after Rev B" when it has changed since, nothing before. */
export function currentLabel(repair: Repair, workshop: Workshop): string {
  const newest = newestRevision(repair);
  if (!newest) return '';
  return frozenLetter(repair, workshop) === null ? `after Rev ${newest.letter}` : `Rev ${newest.letter}`;
}

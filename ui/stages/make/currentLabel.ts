import type { Repair } from '@core/model';
import { progressOf } from '@core/progress';
import { newestRevision } from '@core/revision';

/** "Rev B" while the repair is as it was frozen, "after Rev B" when it has changed since, nothing before. */
export function currentLabel(repair: Repair): string {
  const newest = newestRevision(repair);
  if (!newest) return '';
  return progressOf(repair).next.startsWith('Changed')
    ? `after Rev ${newest.letter}`
    : `Rev ${newest.letter}`;
}

import type { Change, WorkshopChange } from '@core/record/model';

/** What is queued: a change and the repair it belongs to, or null for a change to the workshop. */
export type QueuedChange = { repairId: string; change: Change } | { repairId: null; change: WorkshopChange };

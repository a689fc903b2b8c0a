import { no, ok, type Fault, type Result } from '@core/foundations/fault';

import { staleFault, withRowIn } from './versionedRows';
import {
  WORKSHOP_ROWS,
  workshopRows,
  type Workshop,
  type WorkshopChange,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from './workshopRows';

/** The row of a workshop that a change is about, as it stands now. */
export function workshopRowBefore<K extends WorkshopRowKind>(
  workshop: Workshop,
  row: K,
  id: string,
): WorkshopRowOf<K> | undefined {
  return workshopRows(workshop, row).find((candidate) => candidate.id === id);
}

/** The workshop after a change; the same rules as for a repair (see applyChange). */
export function applyWorkshopChange(workshop: Workshop, change: WorkshopChange): Result<Workshop, Fault> {
  const fault = staleFault(workshopRowBefore(workshop, change.row, change.value.id), change);
  if (fault) return no(fault);
  return ok(withWorkshopRow(workshop, change.row, { ...change.value, version: change.baseVersion + 1 }));
}

/** The workshop with a row as it is given, whatever stood there before. */
export function withWorkshopRow<K extends WorkshopRowKind>(
  workshop: Workshop,
  row: K,
  value: WorkshopRowOf<K>,
): Workshop {
  return { ...workshop, [WORKSHOP_ROWS[row].list]: withRowIn(workshopRows(workshop, row), value) };
}

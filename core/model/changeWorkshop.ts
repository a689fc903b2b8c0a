import { no, ok, type Fault, type Result } from '@core/fault';

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
  const before = workshopRowBefore(workshop, change.row, change.value.id);
  const version = before?.version ?? 0;
  if (version !== change.baseVersion) {
    return no({
      code: 'row.stale',
      row: change.row,
      id: change.value.id,
      baseVersion: change.baseVersion,
      version,
      theirs: before ?? null,
    });
  }
  return ok(withWorkshopRow(workshop, change.row, { ...change.value, version: version + 1 }));
}

/** The workshop with a row as it is given, whatever stood there before. */
export function withWorkshopRow<K extends WorkshopRowKind>(
  workshop: Workshop,
  row: K,
  value: WorkshopRowOf<K>,
): Workshop {
  const rows = workshopRows(workshop, row);
  const known = rows.some(({ id }) => id === value.id);
  return {
    ...workshop,
    [WORKSHOP_ROWS[row].list]: known
      ? rows.map((other) => (other.id === value.id ? value : other))
      : [...rows, value],
  };
}

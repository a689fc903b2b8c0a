import { no, ok, type Fault, type Result } from '@core/fault';

import { WORKSHOP_LIST_OF, type Workshop, type WorkshopChange, type WorkshopRowKind } from './workshop';

type Row = { id: string; version: number };

/** The row of a workshop that a change is about, as it stands now. */
export function workshopRowBefore(workshop: Workshop, row: WorkshopRowKind, id: string): Row | undefined {
  return (workshop[WORKSHOP_LIST_OF[row]] as Row[]).find((candidate) => candidate.id === id);
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
  return ok(
    withWorkshopRow(workshop, {
      ...change,
      value: { ...change.value, version: version + 1 },
    } as WorkshopChange),
  );
}

/** The workshop with a row as it is given, whatever stood there before. */
export function withWorkshopRow(workshop: Workshop, change: WorkshopChange): Workshop {
  const list = WORKSHOP_LIST_OF[change.row];
  const rows = workshop[list] as Row[];
  const value = change.value as Row;
  const known = rows.some((row) => row.id === value.id);
  return {
    ...workshop,
    [list]: known ? rows.map((row) => (row.id === value.id ? value : row)) : [...rows, value],
  };
}

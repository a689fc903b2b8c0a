import type { Fault } from '@core/foundations/fault';

/** What every row has, of a repair or of the workshop. */
export interface VersionedRow {
  id: string;
  version: number;
}

/** A change to one row: the row as it should be, and the version of it that the person saw. */
interface RowChange {
  row: string;
  baseVersion: number;
  value: VersionedRow;
}

/**
 * Why a change can't be taken: somebody else changed its row meanwhile. Null if nobody did.
 * @param before the row as it stands now; undefined if there is none of that id.
 */
export function staleFault(
  before: VersionedRow | undefined,
  { row, baseVersion, value: { id } }: RowChange,
): Fault | null {
  const version = before?.version ?? 0;
  if (version === baseVersion) return null;
  return { code: 'row.stale', row, id, baseVersion, version, theirs: before ?? null };
}

/** The list with a row in the place of the one of its id, or at its end. All other rows are shared. */
export const withRowIn = <T extends VersionedRow>(rows: readonly T[], value: T): T[] =>
  rows.some(({ id }) => id === value.id)
    ? rows.map((row) => (row.id === value.id ? value : row))
    : [...rows, value];

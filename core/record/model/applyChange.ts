import type { Id } from '@core/foundations/fields';
import { no, ok, type Fault, type Result } from '@core/foundations/fault';

import type { Change, RowKind } from './change';
import { nextLetter } from './letters';
import type { RepairHead, Revision } from './repair';
import { LIST_OF, type ListedRow, type Repair } from './repairRows';
import { brokenByChange } from './rules';
import type { Size } from './size';
import { staleFault, withRowIn, type VersionedRow } from './versionedRows';

/** The row a change is about, as it stands now. */
export function rowBefore(repair: Repair, row: RowKind, id: string): VersionedRow | undefined {
  if (row === 'head') return repair.head.id === id ? repair.head : undefined;
  return (repair[LIST_OF[row]] as VersionedRow[]).find((candidate) => candidate.id === id);
}

/**
 * The repair after a change: the one place where the rules of changing live, used by the server for real
 * and by the screen ahead of the server's answer. The version of the row that was put goes up by one.
 *
 * A change that has already taken effect (same row, same values, one version on) is accepted again.
 *
 * @returns the new repair, sharing every row that did not change; or the fault, and nothing changes.
 */
export function applyChange(repair: Repair, change: Change): Result<Repair, Fault> {
  const before = rowBefore(repair, change.row, change.value.id);
  if (change.row === 'head' && !before) {
    return no({ code: 'row.missing', row: 'head', id: change.value.id });
  }
  if (change.row === 'revision' && before) {
    return no({ code: 'row.frozen', letter: (before as Revision).letter });
  }
  const fault = staleFault(before, change) ?? brokenByChange(repair, change);
  if (fault) return no(fault);
  const value = { ...change.value, version: change.baseVersion + 1 };

  if (change.row === 'head') return ok({ ...repair, head: value as RepairHead });
  if (change.row === 'size' || change.row === 'revision') giveFreeLetter(repair, change.row, value);
  return ok(withListed(repair, change.row, value));
}

/** Two people adding a size at once both ask for the same tag: the later one gets the next free letter. */
function giveFreeLetter(repair: Repair, row: 'size' | 'revision', value: object): void {
  if (row === 'size') {
    const size = value as Size;
    const taken = repair.sizes.filter((other) => other.id !== size.id).map((other) => other.tag);
    if (taken.includes(size.tag)) size.tag = nextLetter(taken);
  } else {
    const revision = value as Revision;
    const taken = repair.revisions.map((other) => other.letter);
    if (taken.includes(revision.letter)) revision.letter = nextLetter(taken);
  }
}

/**
 * The repair with a row as the server gave it back, unless it holds a later version of that row already.
 */
export function withRow(repair: Repair, change: Change): Repair {
  const before = rowBefore(repair, change.row, change.value.id);
  if (before && before.version >= change.value.version) return repair;
  if (change.row === 'head') return { ...repair, head: change.value };
  return withListed(repair, change.row, change.value);
}

const withListed = (repair: Repair, row: ListedRow, value: VersionedRow): Repair => ({
  ...repair,
  [LIST_OF[row]]: withRowIn(repair[LIST_OF[row]], value),
});

/** What would undo a change, given the repair from before it: the old row put back, or the new one removed. */
export function inverseOf(before: Repair, change: Change, changeId: Id): Change | null {
  if (change.row === 'revision') return null;
  const old = rowBefore(before, change.row, change.value.id);
  const value = old ?? { ...change.value, removed: true };
  return { changeId, row: change.row, baseVersion: change.baseVersion + 1, value } as Change;
}

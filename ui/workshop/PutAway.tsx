import {
  WORKSHOP_ROW_KINDS,
  workshopRows,
  type Workshop,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from '@core/record/model';
import { machineIn, materialIn } from '@core/record/workshop';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';

type Save = ReturnType<typeof useChangeWorkshop>;

/** What was put away, to be brought back. */
export function PutAway({ workshop, onSave }: { workshop: Workshop; onSave: Save }) {
  const rows = WORKSHOP_ROW_KINDS.flatMap((kind) => putAwayOf(workshop, kind, onSave));
  if (rows.length === 0) return null;
  return (
    <>
      <GroupHeading>Put away</GroupHeading>
      {rows.map(({ key, name, bringBack }) => (
        <Button key={key} tone="quiet" label={`Bring back ${name}`} onPress={bringBack} />
      ))}
    </>
  );
}

/** Some rows go by what they are of. */
function nameOf(workshop: Workshop, kind: WorkshopRowKind, row: WorkshopRowOf<WorkshopRowKind>): string {
  if ('name' in row) return row.name;
  if (kind === 'filament') return `the print settings of ${materialIn(workshop, row.id).name}`;
  if (kind === 'layerPrinter') return `how ${machineIn(workshop, row.id).name} prints layers`;
  if (kind === 'resinPrinter') return `how ${machineIn(workshop, row.id).name} exposes layers`;
  if (kind === 'resin') return `how ${materialIn(workshop, row.id).name} is cured`;
  return 'a table of fits';
}

function putAwayOf<K extends WorkshopRowKind>(workshop: Workshop, kind: K, onSave: Save) {
  return workshopRows(workshop, kind)
    .filter(({ removed }) => removed)
    .map((row) => ({
      key: `${kind} ${row.id}`,
      name: nameOf(workshop, kind, row),
      bringBack: () => onSave(kind, { ...row, removed: false }),
    }));
}

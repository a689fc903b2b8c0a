import { ResinSet } from '@core/record/model';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { RowForm } from './RowForm';
import type { RowGroup } from './rowFields';

const GROUPS: readonly RowGroup[] = [
  {
    fields: [
      { kind: 'text', path: 'name', label: 'Name' },
      { kind: 'number', path: 'layerMm', label: 'Layer height', unit: 'mm' },
      { kind: 'number', path: 'pillarMm', label: 'Supports, thick', unit: 'mm' },
      { kind: 'number', path: 'tipMm', label: 'Their tips', unit: 'mm' },
      { kind: 'number', path: 'apartMm', label: 'Apart', unit: 'mm' },
    ],
  },
];

/** Settings for resin under a name. */
export function ResinSetForm({
  set,
  onSave,
  onClose,
}: {
  set: ResinSet;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  return (
    <RowForm<ResinSet>
      title={set.version === 0 ? 'New settings for resin' : set.name}
      row={set}
      schema={ResinSet}
      groups={GROUPS}
      wrongIn={({ tipMm, pillarMm }) =>
        tipMm > pillarMm ? 'The tips are thicker than the supports. Change one of them.' : null
      }
      onKeep={(row) => onSave('resinSet', row, `${row.name} is kept. Prints with it follow.`)}
      {...(set.version > 0
        ? { onPutAway: () => onSave('resinSet', { ...set, removed: true }, `${set.name} is put away.`) }
        : {})}
      onClose={onClose}
    />
  );
}

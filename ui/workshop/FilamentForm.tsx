import { Filament, type Workshop } from '@core/record/model';
import { materialIn } from '@core/record/workshop';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { RowForm } from './RowForm';
import type { RowGroup } from './rowFields';

const GROUPS: readonly RowGroup[] = [
  {
    fields: [
      { kind: 'number', path: 'nozzleC', label: 'Nozzle', unit: '°C' },
      { kind: 'number', path: 'bedC', label: 'Bed', unit: '°C' },
      { kind: 'number', path: 'pricePerKg', label: 'Price of a kg' },
      { kind: 'number', path: 'mostFlow', label: 'Max volumetric flow', unit: 'mm³/s' },
      { kind: 'number', path: 'leastLayerSeconds', label: 'Shortest layer time', unit: 's' },
      { kind: 'number', path: 'fan', label: 'Fan', unit: '%', times: 0.01 },
      { kind: 'text', path: 'source', label: 'Where these figures are from' },
    ],
  },
];

/** How a plastic is printed, and what it costs. */
export function FilamentForm({
  filament,
  workshop,
  onSave,
  onClose,
}: {
  filament: Filament;
  workshop: Workshop;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const { name } = materialIn(workshop, filament.id);
  return (
    <RowForm<Filament>
      title={`${name}: print settings`}
      row={filament}
      schema={Filament}
      groups={GROUPS}
      onKeep={(row) => onSave('filament', row, `${name} is saved. Layers and costs follow.`)}
      {...(filament.version > 0
        ? {
            onPutAway: () => onSave('filament', { ...filament, removed: true }, `${name} is put away.`),
          }
        : {})}
      onClose={onClose}
    />
  );
}

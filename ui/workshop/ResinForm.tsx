import { Resin, type Workshop } from '@core/record/model';
import { materialIn } from '@core/record/workshop';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { RowForm } from './RowForm';
import type { RowGroup } from './rowFields';

const GROUPS: readonly RowGroup[] = [
  {
    heading: 'Exposure',
    fields: [
      { kind: 'number', path: 'exposureSeconds', label: 'A layer of 0.05 mm', unit: 's' },
      { kind: 'number', path: 'penetrationMm', label: 'Penetration depth of light', unit: 'mm' },
      { kind: 'number', path: 'footSeconds', label: 'Each first layer', unit: 's' },
      { kind: 'number', path: 'footLayers', label: 'First layers' },
    ],
  },
  {
    heading: 'After it is made',
    fields: [
      { kind: 'number', path: 'dripMinutes', label: 'Drips off for', unit: 'min' },
      { kind: 'number', path: 'washMinutes', label: 'Washed for', unit: 'min' },
      { kind: 'number', path: 'cureMinutes', label: 'Cured for', unit: 'min' },
      { kind: 'number', path: 'pricePerKg', label: 'Price of a kg' },
      { kind: 'text', path: 'source', label: 'Where these figures are from' },
    ],
  },
];

/** How a resin is cured, and what it costs. */
export function ResinForm({
  resin,
  workshop,
  onSave,
  onClose,
}: {
  resin: Resin;
  workshop: Workshop;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const { name } = materialIn(workshop, resin.id);
  return (
    <RowForm<Resin>
      title={`${name}: how it is cured`}
      row={resin}
      schema={Resin}
      groups={GROUPS}
      onKeep={(row) => onSave('resin', row, `${name} is saved. Layers and costs follow.`)}
      onClose={onClose}
    />
  );
}

import { ResinPrinter, type Machine } from '@core/record/model';
import { RAD_PER_DEGREE } from '@core/foundations/quantity';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { RowForm } from './RowForm';
import type { RowGroup } from './rowFields';

const GROUPS: readonly RowGroup[] = [
  {
    heading: 'Build volume',
    fields: [
      { kind: 'number', path: 'envelopeMm.0', label: 'Across', unit: 'mm' },
      { kind: 'number', path: 'envelopeMm.1', label: 'Deep', unit: 'mm' },
      { kind: 'number', path: 'envelopeMm.2', label: 'Up', unit: 'mm' },
      { kind: 'number', path: 'pixels.0', label: 'Pixels across' },
      { kind: 'number', path: 'pixels.1', label: 'Pixels deep' },
    ],
  },
  {
    heading: 'Layers',
    fields: [
      { kind: 'number', path: 'layerMm.0', label: 'Thinnest layer', unit: 'mm' },
      { kind: 'number', path: 'layerMm.1', label: 'Thickest layer', unit: 'mm' },
      { kind: 'number', path: 'liftMm', label: 'Plate lifts by', unit: 'mm' },
      { kind: 'number', path: 'liftSpeed', label: 'Plate lifts at', unit: 'mm/s' },
      { kind: 'number', path: 'restSeconds', label: 'Resin rests for', unit: 's' },
    ],
  },
  {
    heading: 'Overhangs and bridges',
    fields: [
      { kind: 'number', path: 'smallestWallMm', label: 'Smallest wall', unit: 'mm' },
      {
        kind: 'number',
        path: 'overhang',
        label: 'Overhang up to',
        unit: '° from upright',
        times: RAD_PER_DEGREE,
      },
      { kind: 'number', path: 'firstLayerSpreadMm', label: 'Elephant foot per side', unit: 'mm' },
    ],
  },
  {
    heading: 'What it costs',
    fields: [
      { kind: 'number', path: 'watts', label: 'Power', unit: 'W' },
      { kind: 'number', path: 'pricePerHour', label: 'Wear per hour' },
      { kind: 'text', path: 'source', label: 'Where these figures are from' },
    ],
  },
];

/** What a machine can do as a resin printer. */
export function ResinPrinterForm({
  machine,
  printer,
  onSave,
  onClose,
}: {
  machine: Machine;
  /** Of version 0 where nobody said yet what it can do: then usual figures stand there. */
  printer: ResinPrinter;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  return (
    <RowForm<ResinPrinter>
      title={`${machine.name}: how it exposes layers`}
      {...(printer.version === 0
        ? {
            intro: 'Not set yet. These are typical figures of a bench printer: change those that differ.',
          }
        : {})}
      row={printer}
      schema={ResinPrinter}
      groups={GROUPS}
      wrongIn={({ layerMm: [low, high] }) =>
        low > high ? 'The thinnest layer is thicker than the thickest. Change one of them.' : null
      }
      onKeep={(row) =>
        onSave('resinPrinter', row, `What ${machine.name} can do is kept. Times and layers follow.`)
      }
      onClose={onClose}
    />
  );
}

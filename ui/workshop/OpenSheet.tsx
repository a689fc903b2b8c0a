import type {
  Filament,
  FitTable,
  Instrument,
  LayerSet,
  Machine,
  Material,
  Resin,
  ResinSet,
  Workshop,
} from '@core/record/model';
import { LAYER_PRINTERS, layerPrinterIn, RESIN_PRINTERS, resinPrinterIn } from '@core/record/workshop';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { FilamentForm } from './FilamentForm';
import { FitTableSheet } from './FitTableSheet';
import { HabitsSheet } from './HabitsSheet';
import { InstrumentForm } from './InstrumentForm';
import { LayerPrinterForm } from './LayerPrinterForm';
import { LayerSetForm } from './LayerSetForm';
import { MachineForm } from './MachineForm';
import { MaterialForm } from './MaterialForm';
import { ResinForm } from './ResinForm';
import { ResinPrinterForm } from './ResinPrinterForm';
import { ResinSetForm } from './ResinSetForm';

/** What is open over the Workshop: one thing at a time. */
export type Opened =
  | { what: 'instrument'; row: Instrument }
  | { what: 'machine'; row: Machine }
  | { what: 'habits'; machineId: string }
  | { what: 'layerPrinter'; machine: Machine }
  | { what: 'filament'; row: Filament }
  | { what: 'layerSet'; row: LayerSet }
  | { what: 'resinPrinter'; machine: Machine }
  | { what: 'resin'; row: Resin }
  | { what: 'material'; row: Material }
  | { what: 'resinSet'; row: ResinSet }
  | { what: 'fitTable'; row: FitTable };

export function OpenSheet({
  opened,
  workshop,
  onSave,
  onOpen,
}: {
  opened: Opened;
  workshop: Workshop;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onOpen(next: Opened | null): void;
}) {
  const onClose = () => onOpen(null);
  switch (opened.what) {
    case 'instrument':
      return <InstrumentForm instrument={opened.row} onSave={onSave} onClose={onClose} />;
    case 'machine':
      return (
        <MachineForm
          machine={opened.row}
          onSave={onSave}
          onHabits={() => onOpen({ what: 'habits', machineId: opened.row.id })}
          onLayers={() =>
            onOpen({
              what: opened.row.process === 'resin' ? 'resinPrinter' : 'layerPrinter',
              machine: opened.row,
            })
          }
          onClose={onClose}
        />
      );
    case 'habits': {
      // What trials teach changes it while it is open.
      const machine = workshop.machines.find(({ id }) => id === opened.machineId);
      return machine ? (
        <HabitsSheet machine={machine} workshop={workshop} onSave={onSave} onClose={onClose} />
      ) : null;
    }
    case 'layerPrinter': {
      const { machine } = opened;
      return (
        <LayerPrinterForm
          machine={machine}
          printer={
            layerPrinterIn(workshop, machine.id) ?? { ...LAYER_PRINTERS[0]!, id: machine.id, version: 0 }
          }
          onSave={onSave}
          onClose={onClose}
        />
      );
    }
    case 'filament':
      return <FilamentForm filament={opened.row} workshop={workshop} onSave={onSave} onClose={onClose} />;
    case 'layerSet':
      return <LayerSetForm set={opened.row} onSave={onSave} onClose={onClose} />;
    case 'resinPrinter': {
      const { machine } = opened;
      return (
        <ResinPrinterForm
          machine={machine}
          printer={
            resinPrinterIn(workshop, machine.id) ?? { ...RESIN_PRINTERS[0]!, id: machine.id, version: 0 }
          }
          onSave={onSave}
          onClose={onClose}
        />
      );
    }
    case 'resin':
      return <ResinForm resin={opened.row} workshop={workshop} onSave={onSave} onClose={onClose} />;
    case 'material':
      return <MaterialForm material={opened.row} onSave={onSave} onClose={onClose} />;
    case 'resinSet':
      return <ResinSetForm set={opened.row} onSave={onSave} onClose={onClose} />;
    case 'fitTable':
      return <FitTableSheet table={opened.row} onSave={onSave} onClose={onClose} />;
  }
}

import type { Support } from '@core/foundations/fields';
import {
  USUAL_PRINT_SETUP,
  type Body,
  type Filament,
  type LayerPrinter,
  type RepairHead,
  type Resin,
  type ResinPrinter,
  type ResinSet,
  type Workshop,
} from '@core/record/model';
import {
  filamentIn,
  LAYER_PRINTERS,
  layerPrinterFor,
  layerSetIn,
  machineIn,
  materialIn,
  resinIn,
  resinPrinterIn,
  resinSetIn,
} from '@core/record/workshop';

import { settingsFor } from './layerSlicer';
import type { BedPlace, PartOnBed } from './partOnBed';

/** A spare that is to be sliced, all but its mesh. */
export type RequestedPart = Omit<PartOnBed, 'mesh'> & { bodyId: string; support: Support };

/** What is to be sliced, in one job. */
export interface SliceRequest {
  /** The first leads: its layers' heights hold for all. */
  parts: RequestedPart[];
  /** `printer` and `filament` are null where the workshop does not know how layers are printed with it. */
  machine: { id: string; name: string; printer: LayerPrinter | null };
  material: { id: string; name: string; density: number; filament: Filament | null };
  /** Where the machine makes in resin instead; `resin` is null if the material is none. */
  resin: { printer: ResinPrinter; resin: Resin | null; set: ResinSet } | null;
}

/** A spare with how many of it are made at once. */
export interface RequestedSpare {
  body: Body;
  pieces: number;
  /** Where somebody put them. */
  at?: BedPlace[];
}

/**
 * How spares are sliced on a machine of a workshop, each with the orientation, settings, supports and bed adhesion that its body holds: one request for
 * the screen and the command line. The first leads.
 *
 * @param instead settings that are used whatever the bodies hold.
 */
export function sliceRequestOf(
  spares: readonly RequestedSpare[],
  { machineId, materialId }: Pick<RepairHead, 'machineId' | 'materialId'>,
  workshop: Workshop,
  instead?: string,
): SliceRequest {
  const { id, name } = machineIn(workshop, machineId);
  const material = materialIn(workshop, materialId);
  const printer = layerPrinterFor(workshop, id, material.family);
  const resinPrinter = resinPrinterIn(workshop, id);
  const setupOf = ({ laying }: Body) => ({
    ...(laying ?? USUAL_PRINT_SETUP),
    ...(instead === undefined ? {} : { settings: instead }),
  });
  return {
    // Where nobody said what the machine can do it is refused before it is sliced.
    parts: spares.map(({ body, pieces, at }) => {
      const setup = setupOf(body);
      const set = layerSetIn(workshop, setup.settings);
      const settings = settingsFor(set, setup, printer ?? LAYER_PRINTERS[0]!);
      const { down, support } = setup;
      return { bodyId: body.id, name: body.name, down, settings, support, pieces, ...(at ? { at } : {}) };
    }),
    machine: { id, name, printer },
    material: {
      id: material.id,
      name: material.name,
      density: material.density,
      filament: filamentIn(workshop, material.id),
    },
    resin: resinPrinter && {
      printer: resinPrinter,
      resin: resinIn(workshop, material.id),
      set: resinSetIn(workshop, setupOf(spares[0]!.body).settings),
    },
  };
}

import { USUAL_PRINT_SETUP, type Body, type RepairHead, type Workshop } from '@core/record/model';
import { rotatedDown } from '@core/making/orientation';
import type { Placing } from '@core/making/formats';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import { layerSetSentence, resinSetSentence } from '@core/reporting/wording';
import {
  layerPrinterIn,
  layerSetIn,
  isPrinter,
  machineIn,
  materialIn,
  resinPrinterIn,
  resinSetIn,
} from '@core/record/workshop';

/** How a spare is to be made, as its files say it. */
export interface AsMade {
  material: string;
  printer: string;
  /** Of one that is laid in layers. */
  laid: { down: Vec3; settings: string; bedMm: readonly [number, number] | null } | null;
}

/** By what is chosen for a body, or usual. */
export function asMade({ materialId, machineId }: RepairHead, body: Body, workshop: Workshop): AsMade {
  const machine = machineIn(workshop, machineId);
  const { down, settings } = body.laying ?? USUAL_PRINT_SETUP;
  const isResin = machine.process === 'resin';
  const means = isResin ? resinPrinterIn : layerPrinterIn;
  const [broad, deep] = means(workshop, machine.id)?.envelopeMm ?? [];
  return {
    material: materialIn(workshop, materialId).name,
    printer: machine.name,
    laid: isPrinter(machine)
      ? {
          down,
          settings: isResin
            ? resinSetSentence(resinSetIn(workshop, settings))
            : layerSetSentence(layerSetIn(workshop, settings)),
          bedMm: broad === undefined || deep === undefined ? null : [broad, deep],
        }
      : null,
  };
}

/**
 * Where a part stands that is laid down in the middle of a bed, whose corner is the origin; of an unknown bed, with its own corner there.
 */
export function placedOnBed(
  mesh: Pick<WeldedMesh, 'positions'>,
  down: Vec3,
  bedMm: readonly [number, number] | null,
): Placing {
  const { turn, low, high } = rotatedDown(mesh, down);
  const along = (axis: 0 | 1) => (bedMm ? (bedMm[axis] - low[axis] - high[axis]) / 2 : -low[axis]);
  return { turn, by: [along(0), along(1), -low[2]] };
}

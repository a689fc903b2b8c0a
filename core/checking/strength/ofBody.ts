import type { Body, Material, RepairState, Workshop } from '@core/record/model';
import { USUAL_PRINT_SETUP } from '@core/record/model';
import { layerPrinterIn, layerSetIn, lineBreadthMm, machineIn, materialIn } from '@core/record/workshop';

import { allowableOf, USUAL_SERVICE, warmthOf, type Service } from './allowable';
import type { Shell } from './core';
import type { HeldLoad, PrintedMaterial } from './weakest';

/** The load on a spare, if it was said how strong it is, where it acts and where the spare is held against it. */
export function heldLoadOf({ laying }: Pick<Body, 'laying'>): HeldLoad | null {
  if (!laying?.load || !laying.held) return null;
  const { forceN, at, heldAt } = laying.held;
  return { forceN, way: laying.load, at, heldAt };
}

type Head = Pick<RepairState['head'], 'machineId' | 'materialId' | 'brief'>;

/** Where somebody could be hurt, a home-made spare is made so much stronger. */
const SAFETY_WHERE_IT_HURTS = 4;
const HURTS = ['brakes', 'lifting', 'children'] as const;

/** What a spare has to stand: as was said with its load, else as its brief lets one think. */
export function serviceOf({ laying }: Pick<Body, 'laying'>, { brief }: Pick<Head, 'brief'>): Service {
  const mayHurt = brief?.dangers.some((danger) => HURTS.some((one) => one === danger)) ?? false;
  return {
    lasts: laying?.held?.lasts ?? (brief?.load === 'steady' ? 'lasting' : USUAL_SERVICE.lasts),
    warmC: warmthOf(brief?.heat ?? null),
    wet: brief?.surroundings.includes('water') ?? false,
    safety: laying?.held?.safety ?? (mayHurt ? SAFETY_WHERE_IT_HURTS : USUAL_SERVICE.safety),
  };
}

/** What a spare is made of: its material, as it is printed if it is, for what it has to stand. */
export function madeOf(
  body: Pick<Body, 'laying'>,
  head: Head,
  workshop: Workshop,
): PrintedMaterial & { material: Material } {
  const material = materialIn(workshop, head.materialId);
  const isPrinted = machineIn(workshop, head.machineId).process === 'printing';
  const { alongMpa } = allowableOf(material, serviceOf(body, head), isPrinted);
  return {
    material,
    alongMpa,
    across: isPrinted ? material.across : 1,
    down: isPrinted ? (body.laying ?? USUAL_PRINT_SETUP).down : null,
    shell: isPrinted ? shellOf(body, head.machineId, workshop) : null,
  };
}

/** Walls round an infill, as the settings of a spare print it; null where nothing says it, or it is full. */
function shellOf({ laying }: Pick<Body, 'laying'>, machineId: string, workshop: Workshop): Shell | null {
  const printer = layerPrinterIn(workshop, machineId);
  if (!printer) return null;
  const { walls, fillShare, singleWall } = layerSetIn(workshop, (laying ?? USUAL_PRINT_SETUP).settings);
  const infill = singleWall ? 0 : fillShare;
  return infill >= 1 ? null : { wallMm: (singleWall ? 1 : walls) * lineBreadthMm(printer), infill };
}

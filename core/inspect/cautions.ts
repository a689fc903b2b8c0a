import type { EvaluatedRepair } from '@core/fit';
import { valuesIn, type Body } from '@core/model';
import type { FaceTag, SolidMesh } from '@core/solid';
import type { Material } from '@core/standards';

import { thinnestWall } from './thinnest';
import { tongueStrains } from './tongues';

/** Something that does not keep a body from being made, and is worth a look before it is. */
export type Caution =
  | { code: 'wall.thin'; mm: number; leastMm: number; tag: FaceTag }
  | {
      code: 'tongue.strained';
      stepId: string;
      strain: number;
      limit: number;
      lengthMm: number;
      thicknessMm: number;
    }
  | { code: 'bodies.overlap'; other: string; mm3: number }
  | { code: 'fit.unlike'; other: string; mm: number; wantedMm: number };

/** Walls thinner than this are hard to make, mm: two lines of a fused print; less for what cures or is cut. */
const LEAST_WALL_MM: Record<Material['family'], number> = {
  plastic: 0.8,
  soft: 0.8,
  resin: 0.5,
  metal: 0.5,
  wood: 1.5,
};

/** What is to be said of a body by itself. */
export function cautionsOf(
  body: Body,
  mesh: SolidMesh | null,
  numbers: EvaluatedRepair,
  material: Material,
): Caution[] {
  if (body.role !== 'spare') return [];
  const wall = mesh && thinnestWall(mesh);
  const leastMm = LEAST_WALL_MM[material.family];
  return [
    ...(wall && wall.mm < leastMm - 1e-3
      ? [{ code: 'wall.thin' as const, mm: wall.mm, leastMm, tag: wall.tag }]
      : []),
    ...tongueStrains(body, numbers, material).flatMap((one): Caution[] =>
      one.strain > one.limit ? [{ code: 'tongue.strained', ...one }] : [],
    ),
  ];
}

/** Overlaps smaller than this are faces that touch, mm³. */
const TOUCHING_MM3 = 1e-3;
/** Room that differs from what the fit asks for by less than this is it, mm. */
const LIKE_MM = 0.03;

/** What is to be said of the room between a spare and another body, mm; with the volume they share, mm³. */
export function cautionsBetween(
  spare: Body,
  other: Body,
  room: { mm: number; overlapMm3: number },
  numbers: EvaluatedRepair,
): Caution[] {
  const wantedMm = roomWanted(spare, other, numbers);
  // An interference fit overlaps by design.
  if (room.overlapMm3 > TOUCHING_MM3) {
    return wantedMm !== null && wantedMm < 0
      ? []
      : [{ code: 'bodies.overlap', other: other.name, mm3: room.overlapMm3 }];
  }
  if (wantedMm === null || wantedMm < 0 || room.mm >= wantedMm - LIKE_MM) return [];
  return [{ code: 'fit.unlike', other: other.name, mm: room.mm, wantedMm }];
}

/**
 * The room on each side that the only fit between two bodies asks for; null where there is none, or more than one. A
 * fit lies between them if the spare uses its working size and the other the size that it goes with.
 */
function roomWanted(spare: Body, other: Body, numbers: EvaluatedRepair): number | null {
  const used = (body: Body, from: 'fit' | 'size') =>
    new Set(body.steps.flatMap(valuesIn).flatMap((value) => (value.from === from ? [value.id] : [])));
  const [fits, sizes] = [used(spare, 'fit'), used(other, 'size')];
  const between = [...numbers.fits.values()].filter(
    ({ fit }) => fits.has(fit.id) && sizes.has(fit.counterpartSizeId),
  );
  const [only] = between;
  if (between.length !== 1 || !only?.worked.ok) return null;
  const counterpart = numbers.sizes.get(only.fit.counterpartSizeId)?.worked;
  if (!counterpart?.ok) return null;
  const apart = only.worked.trail.working - counterpart.trail.working;
  return (only.fit.feature === 'peg' || only.fit.feature === 'tab' ? -apart : apart) / 2;
}

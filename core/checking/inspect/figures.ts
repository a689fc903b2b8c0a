import type { FrozenFigures, Material } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import type { Built } from '@core/shaping/solid';

/** What a finished body weighs and measures. Lengths mm, area mm², volume mm³, mass g. */
export type BodyFigures = Omit<FrozenFigures, 'bodyId'>;

/** Figures of what was built; null if nothing was. */
export function figuresOf(built: Built, material: Material): BodyFigures | null {
  const { check, box } = built;
  if (!check || !box) return null;
  return {
    closed: check.closed && check.valid,
    pieces: check.pieces,
    volumeMm3: check.volumeMm3,
    areaMm2: built.areaMm2(),
    // 1 g/cm³ is 0.001 g/mm³.
    massG: (check.volumeMm3 * material.density) / 1000,
    bboxMm: [box[3] - box[0], box[4] - box[1], box[5] - box[2]].map(toHundredthMicron) as [
      number,
      number,
      number,
    ],
  };
}

/** The kernel's boxes are good to its tolerance of 1e-7 mm; digits beyond 1e-5 mm would only look exact. */
const toHundredthMicron = (mm: number) => roundTo(mm, 1e-5);

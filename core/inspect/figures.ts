import type { FrozenFigures } from '@core/model';
import { tidy } from '@core/quantity';
import type { Built } from '@core/solid';
import type { Material } from '@core/standards';

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
    areaMm2: check.areaMm2,
    // 1 g/cm³ is 0.001 g/mm³.
    massG: (check.volumeMm3 * material.density) / 1000,
    bboxMm: [tidy(box[3] - box[0]), tidy(box[4] - box[1]), tidy(box[5] - box[2])],
  };
}

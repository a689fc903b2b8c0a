import type { FrozenFigures, Repair } from '@core/record/model';

import type { SolidView } from '../solid/useSolid';

/** Figures of the spares as they were last built, leaving out any that is out of date. */
export function currentFigures(repair: Repair, solid: SolidView): FrozenFigures[] {
  const spares = new Set(repair.bodies.filter((body) => body.role === 'spare').map((body) => body.id));
  return solid.bodies.flatMap(({ bodyId, figures, outOfDate }) =>
    figures && !outOfDate && spares.has(bodyId) ? [{ bodyId, ...figures }] : [],
  );
}

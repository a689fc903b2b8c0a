import type { Material, Workshop } from '@core/record/model';

import { MATERIALS } from './usualMaterials';
/** The materials of a workshop, those that were put away left out. */
export const materialsIn = (workshop: Workshop): readonly Material[] =>
  (workshop.materials ?? MATERIALS).filter(({ removed }) => !removed);

/** The material of that id, also one that was put away, or the default one if nobody knows it any more. */
export function materialIn(workshop: Workshop, id: string): Material {
  const all = workshop.materials ?? MATERIALS;
  return (
    all.find((material) => material.id === id) ??
    MATERIALS.find((material) => material.id === id) ??
    MATERIALS[0]!
  );
}

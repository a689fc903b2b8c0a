import type { Vec3 } from '@core/foundations/vectors';

/** What a solid is for its weight, with a density of 1. */
export interface MassProperties {
  volumeMm3: number;
  /** Centre of mass, mm. */
  centre: Vec3;
  /** Second moment about the upright axis through the centre of mass, mm⁵: ∫ r² dV. */
  momentMm5: number;
}

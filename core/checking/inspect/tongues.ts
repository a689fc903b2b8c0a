import type { EvaluatedRepair } from '@core/fitting/fit';
import { takesAway, type Body, type StepOf, type Material } from '@core/record/model';
import { BUMP_LENGTHS } from '@core/shaping/steps/tongue/schema';
import { resolveValue } from '@core/shaping/part';

/** How far a springy tongue is strained when its bump passes the edge, against what its material bears. */
export interface TongueStrain {
  stepId: string;
  strain: number;
  limit: number;
  /** Shortest length and largest thickness, mm, that would do with the other numbers as they are. */
  lengthMm: number;
  thicknessMm: number;
}

/**
 * Strain at the root of a cantilever of even section whose end is bent by y: ε = 3 t y / 2 L², from the beam's
 * deflection y = F L³ / 3 E I and its bending stress σ = F L t / 2 I. L is taken to the edge that catches.
 */
export const cantileverStrain = (lengthMm: number, thicknessMm: number, bentMm: number): number =>
  (1.5 * thicknessMm * bentMm) / lengthMm ** 2;

/** The strain of each tongue of a body that is made as one. */
export function tongueStrains(body: Body, numbers: EvaluatedRepair, material: Material): TongueStrain[] {
  return body.steps.flatMap((step) => {
    if (step.kind !== 'tongue' || takesAway(step.effect) || step.off) return [];
    const found = strainOf(step, numbers, material);
    return found ? [found] : [];
  });
}

function strainOf(step: StepOf<'tongue'>, numbers: EvaluatedRepair, material: Material): TongueStrain | null {
  const [length, thickness, bump] = (['length', 'thickness', 'bump'] as const).map((key) => {
    const value = resolveValue(step[key], key, numbers);
    return value.ok ? value.value.mm : NaN;
  }) as [number, number, number];
  const bending = length - BUMP_LENGTHS * bump;
  const strain = cantileverStrain(bending, thickness, bump);
  if (!(bending > 0) || !Number.isFinite(strain)) return null;
  const limit = material.strain;
  return {
    stepId: step.id,
    strain,
    limit,
    lengthMm: Math.sqrt((1.5 * thickness * bump) / limit) + BUMP_LENGTHS * bump,
    thicknessMm: (limit * bending ** 2) / (1.5 * bump),
  };
}

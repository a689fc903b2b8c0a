import { ownValue } from '@core/foundations/own';

/**
 * What a plastic laid in layers bears across them, as a share of what it bears along them: tensile strength of bars laid upright against such
 * laid flat (ISO 527-2, type 1A or 5A), middle of published comparisons of well laid bars; less where it was laid cold or fast.
 */
const ACROSS_LAYERS: Readonly<Record<string, number>> = {
  petg: 0.6,
  pla: 0.55,
  abs: 0.45,
  asa: 0.5,
  pa12: 0.65,
  pp: 0.65,
  pc: 0.5,
  pvc: 0.5,
  pom: 0.4,
  tpu: 0.75,
};
/** Of one that nobody has measured. */
const UNKNOWN = 0.5;

export const acrossLayersOf = (materialId: string): number => ownValue(ACROSS_LAYERS, materialId) ?? UNKNOWN;

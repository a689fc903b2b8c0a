import { resolveAll, resolveLength } from '@core/part';
import { type StepType, build } from '@core/shaping';

/** Round (fillet). Its faces: round. */
export const round: StepType<'round'> = {
  kind: 'round',
  effect: 'dresses',
  resolve: (step, numbers) => resolveAll({ size: resolveLength(step.size, 'round', numbers) }),
  build: (step, { size }, input) => build(step, size!, input, null),
  annotate: () => ({ annotations: [], centreLines: [] }),
};

import { resolveAll, resolveLength } from '@core/part';
import { type StepType, otherOf, build } from '@core/shaping';

/** Flat ease (chamfer). Its faces: flat. */
export const ease: StepType<'ease'> = {
  kind: 'ease',
  effect: 'dresses',
  resolve: (step, numbers) => {
    const size = resolveLength(step.size, 'ease', numbers);
    return step.other && 'length' in step.other
      ? resolveAll({ size, other: resolveLength(step.other.length, 'other length', numbers) })
      : resolveAll({ size });
  },
  build: (step, { size, other }, input) => build(step, size!, input, otherOf(step, size!, other)),
  annotate: () => ({ annotations: [], centreLines: [] }),
};

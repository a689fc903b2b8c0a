import { dressedStep, type StepSolid } from '@core/shaping/forming';

/** Round (fillet). Its faces: round. */
export const solid: StepSolid<'fillet'> = {
  bound: 'dresses',
  build: (step, { size }, input) => dressedStep(step, size, input, null),
};

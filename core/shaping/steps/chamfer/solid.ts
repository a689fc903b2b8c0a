import { dressedStep, otherOf, type StepSolid } from '@core/shaping/forming';

/** Flat ease (chamfer). Its faces: flat. */
export const solid: StepSolid<'chamfer'> = {
  bound: 'dresses',
  build: (step, lengths, input) => dressedStep(step, lengths.size, input, otherOf(step, lengths)),
};

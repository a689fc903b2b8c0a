export { newStep, type StepContext } from './newStep';
export { fieldOf, withField, withoutStep, withPatch, withStepMoved } from './editSteps';

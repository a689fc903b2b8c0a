export { newStep, type StepContext } from './newStep';
export { withField, withoutStep, withStepMoved } from './editSteps';

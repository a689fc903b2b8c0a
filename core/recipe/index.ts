export { newStep, type StepContext } from './newStep';
export {
  fieldOf,
  withField,
  withoutStep,
  withPatch,
  withStepCopied,
  withStepMoved,
  withStepSwitched,
} from './editSteps';

export {
  dataAt,
  fieldOf,
  withStepAfter,
  withStepTo,
  withField,
  withoutStep,
  withPatch,
  withStepCopied,
  withStepMoved,
  withStepSwitched,
} from './editSteps';
export { readLetters, readPlain } from './readPlain';
export { patchForHardware } from './hardware';
export { liftedBody, liftedSteps } from './lift';

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
export { GAUGE_STEPS_MM, gaugeRow, hasGaugeRow } from './gaugeRow';
export { readLengthValue, type TypedLength } from './readLength';
export { readLetters, readPlain } from './readPlain';
export { patchForHardware } from './hardware';
export { liftedBody, liftedSteps } from './lift';
export { gaugePlaces, type GaugePlace } from './gaugePlaces';
export { isForTrial } from './isForTrial';
export { testPiece } from './testPiece';
export { marksOf, remarked } from './marks';
export { sectionsOf } from './sections';

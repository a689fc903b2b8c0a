export { MATERIALS, DEFAULT_MATERIAL_ID, materialOf, type Material } from './materials';
export { toleranceFactorMm } from './toleranceFactor';
export { GRADES, SIZE_STEPS_MM, standardToleranceMm } from './toleranceGrades';
export {
  DEVIATION_LETTERS,
  SUGGESTED_PAIRS,
  limitsOf,
  readToleranceClass,
  type Limits,
  type SuggestedPair,
} from './limits';
export { ridgeOf, threadArea, threadForm, type Ridge, type ThreadForm } from './threadForm';
export { THREADS, externalMajorMm, internalMinorMm, type Thread } from './threads';
export { BEARINGS, CLEARANCE_HOLES, HEX_FLATS, NUT_HEIGHTS_MM, type Bearing } from './hardware';
export {
  FORMS,
  doubtOf,
  STANDARD_THINGS,
  likelyStandards,
  type Form,
  type LikelyThing,
  type StandardThing,
} from './likely';
export { HARDWARE_HOLES, type HardwareHole } from './holes';

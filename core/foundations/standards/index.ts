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
export { BEARINGS, type Bearing } from './bearings';
export { CLEARANCE_HOLES } from './clearanceHoles';
export { HEX_FLATS, NUT_HEIGHTS_MM } from './hexagons';
export { FORMS, type Form, type StandardThing } from './thing';
export { doubtOf, STANDARD_THINGS, likelyStandards, type LikelyThing } from './likely';
export { HARDWARE_HOLES, type HardwareHole } from './holes';

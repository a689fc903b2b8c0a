export { askedOfFit, FIT_FEATURES, featureOf, isRound, type Feature } from './features';
export {
  classClearance,
  classClearanceMm,
  growth as growthOfClearance,
  stepOf,
  type Clearance,
} from './clearance';
export { counterpartOf, type FitSetting, type Trail, type TrailEntry, type Worked } from './trail';
export { type Band, type Doubt, type FitChance, type Improvement, type MateChance } from './chance';
export { normalSource, stackUp, type StackLink, type StackUp } from './stackUp';
export {
  evaluateRepair,
  evaluateSizes,
  formulaLength,
  formulaValue,
  settingOf,
  type EvaluatedChain,
  type EvaluatedFit,
  type EvaluatedRepair,
  type EvaluatedSize,
} from './evaluateRepair';
export { correctionsActing, type ActingCorrection } from './correctionsActing';
export { criticalSizes, type CriticalSize } from './criticalSizes';
export { fitsOfBody } from './fitsOfBody';
export { leastChance, type MakeChoice } from './leastChance';
export { testPieceName, testPieceOf } from './testPieceOf';
export { settledStep, takenNumber } from './settle';
export { usesOf, type Use, type Used } from './usedBy';

export { aimOf, askedOf, clearanceMeasured, madeOf, wantedOf } from './asked';
export { causesOf, CLEAR, feelShift, type Cause, type Evidence, type Diagnosis } from './causes';
export { type Contradiction } from './contradiction';
export { isFarOff } from './doubtful';
export { effectsOf } from './effects';
export { feelOf, tableAsFelt, type Feel } from './feel';
export { instrumentOf, madeSizesOf, trialsOf } from './madeSizes';
export {
  nextPlace,
  misplacedBy,
  placeMakerOf,
  isPlacedAsTried,
  type NextPlace,
  type PlaceMaker,
  type PlaceThen,
  type PlaceAxis,
} from './misplaced';
export { firstLayerOf, elephantFootOf, elephantFeetOf, hasFirstLayer } from './elephantFoot';
export { newTrial, triedRevision, type Tried } from './newTrial';
export {
  judge,
  learnedFrom,
  machineAfter,
  type Judged,
  type Proposal,
  type Saving,
  type TrialSetting,
} from './nextNumbers';
export { withFinished } from './finished';

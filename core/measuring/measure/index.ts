export { mean, median, sampleStandardDeviation } from './statistics';
export { doubtfulReadings } from './doubtful';
export {
  combine,
  largestContribution,
  rectangular,
  uncertaintyOfReadings,
  weighTogether,
  type Contribution,
  type Uncertainty,
  type UncertaintySource,
} from './uncertainty';
export {
  countedReadings,
  evaluateSize,
  isKnown,
  uncertaintyOf,
  type KnownResult,
  type MeasuredResult,
  type SizeResult,
} from './sizeResult';
export { readReading } from './readReading';
export { SizeGraph, type SettleDepth } from './sizeGraph';
export { CONSTRUCTIONS, constructionOf } from './constructions';
export { centreDistance, inverseInvolute, involute, MODULES_MM, spanOverTeeth } from './gear';
export { addErrors, type InstrumentError } from './instrumentErrors';
export { takeApart } from './propagate';
export type { Construction, ConstructionId, ConstructionInput, ConstructionResult } from './construction';

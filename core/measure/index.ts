export { mean, sampleStandardDeviation } from './statistics';
export {
  combine,
  rectangular,
  uncertaintyOfMean,
  type Contribution,
  type Uncertainty,
  type UncertaintySource,
} from './uncertainty';
export { countedReadings, evaluateSize, type SizeResult } from './sizeResult';
export { readReading } from './readReading';

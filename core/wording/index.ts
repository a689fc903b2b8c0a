export { growthWords } from './growth';
export { FAULT_CODES, isKnownFault, sentenceOf } from './faults';
export { cautionSentence, findingSentence } from './findings';
export { chanceWords, doubtSentence, wishWords, workingSizeName } from './fits';
export { sheetRows } from './sheet';
export {
  degrees,
  moreOptions,
  STEP_VERBS,
  spokenSentence,
  stepSentence,
  type Option,
  type PickWanted,
  type SentenceNames,
  type SentencePart,
} from './sentences';
export { plainText } from './plainNumbers';
export { programFaultOf, programFaultReport, programFaultSentence, type ProgramFault } from './programFault';

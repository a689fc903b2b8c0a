export { FAULT_CODES, isKnownFault, sentenceOf } from './faults';
export { findingSentence } from './findings';
export { chanceWords, doubtSentence, wishWords, workingSizeName } from './fits';
export { sheetRows } from './sheet';
export { STEP_VERBS, spokenSentence, stepSentence, type SentencePart } from './sentences';

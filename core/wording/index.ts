export { FAULT_CODES, isKnownFault, sentenceOf } from './faults';
export { findingSentence } from './findings';
export { STEP_VERBS, spokenSentence, stepSentence, type SentencePart } from './recipe';

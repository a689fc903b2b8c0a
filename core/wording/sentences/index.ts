export { degrees, spokenSentence, type Option, type PickWanted, type SentencePart } from './parts';
export { moreOptions, stepSentence, type SentenceNames } from './stepSentence';
export { STEP_VERBS } from './verbs';

export { spokenSentence, type Option, type SentencePart } from './parts';
export { stepSentence } from './stepSentence';
export { STEP_VERBS } from './verbs';

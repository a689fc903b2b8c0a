export { growthWords } from './growth';
export { FAULT_CODES, isKnownFault, sentenceOf } from './faults';
export { cautionSentence, findingSentence } from './findings';
export { chanceWords, doubtSentence, wishWords, workingSizeName } from './fits';
export { sheetRows } from './sheet';
export { plainText } from './plainNumbers';
export { programFaultOf, programFaultReport, programFaultSentence, type ProgramFault } from './programFault';

export { constructionName, constructionWords, numberWords } from './constructions';
export { chanceWords, shareWords } from './amounts';
export { growthWords } from './growth';
export { FAULT_CODES, isKnownFault, sentenceOf } from './faults';
export { cautionSentence, findingSentence } from './findings';
export { plainText } from './plainNumbers';
export { ROW_WORDS } from './rows';
export { programFaultOf, programFaultReport, programFaultSentence, type ProgramFault } from './programFault';
export {
  actingSentence,
  besideWholeSentence,
  HAPPENING_WORDS,
  jobSentence,
  layerSetSentence,
  settingsWords,
  layerWarningSentence,
  minutesText,
  MOVE_WORDS,
} from './layers';
export { afterworkSentence, afterworkTotal } from './afterwork';
export { resinSentence, resinSetSentence, resinSetWords, resinWarningSentence } from './resin';
export { movedPrefix, nextPlaceReason, nextPlaceSentences, wayWords } from './places';
export {
  allowableSentence,
  LASTING_CHOICES,
  SAFETY_CHOICES,
  bearsBeside,
  bearsMpaBeside,
  bearsWords,
  enoughSentence,
  jointSentence,
  noSectionSentence,
  piecesSentence,
  sectionSentence,
  stressSentence,
  weakestSentence,
  type LayersThere,
} from './strength';
export { mendWords } from './mends';
export { featureWords, type FeatureWords } from './features';
export { nextThingWords, lackWords } from './progress';
export { FIT_CLASSES, fitClassOf, type FitClassWords } from './fitClasses';
export { derivedWords, takenWords, trailLabel, allowanceReason } from './trails';
export { jobStateSentence, keptGcodeSentence } from './jobs';
export { tagWords } from './tagWords';
export {
  BREAK_WORDS,
  bettermentSentence,
  howItLiesSentence,
  firstFitSentence,
  SIZE_REASONS,
  trialMaterialSentence,
  briefCautionSentence,
  DANGER_WORDS,
  HEAT_WORDS,
  INSIDE_WORDS,
  LOAD_WORDS,
  MOVEMENT_WORDS,
  oldMaterialSentence,
  reasonsSentence,
  SURROUNDING_WORDS,
} from './brief';
export type { Lengths } from './lengths';
export { usedWords } from './uses';
export {
  AREAS_FAULT_SENTENCES,
  CUT_FAULT_SENTENCES,
  DIMENSION_WORDS,
  dimensionWord,
  drawingFaults,
  drawingSentence,
  drawnProblemSentence,
  freedomSentence,
  oneTooManySentence,
  reachSentence,
  RELATION_WORDS,
} from './drawn';
export { drawingFileSentence, leftOutSentence } from './drawingFile';

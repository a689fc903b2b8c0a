/** Words for worked-out numbers: chances, doubts, trials, and the sheet of all sizes. */
export {
  atBestSentence,
  widenedSentence,
  doubtSentence,
  tooFarApartSentence,
  wishWords,
  workingSizeName,
} from './fits';
export { sheetRows } from './sheet';
export {
  causeSentence,
  clearanceSentence,
  CONTRADICTION_SENTENCES,
  driftSentence,
  proposalReason,
  proposalSentence,
  REMEDY_WORDS,
  savingSentence,
  VERDICT_WORDS,
} from './trials';

/** Words for worked-out numbers: chances, doubts, and the sheet of all sizes. */
export {
  atBestSentence,
  chanceWords,
  doubtSentence,
  tooFarApartSentence,
  wishWords,
  workingSizeName,
} from './fits';
export { sheetRows } from './sheet';

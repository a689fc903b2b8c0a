/** Words for worked-out numbers: chances, doubts, and the sheet of all sizes. */
export { chanceWords, doubtSentence, tooFarApartSentence, wishWords, workingSizeName } from './fits';
export { sheetRows } from './sheet';

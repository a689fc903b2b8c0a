/** Words for worked-out numbers: chances, doubts, and the sheet of all sizes. */
export { chanceWords, doubtSentence, wishWords, workingSizeName } from './fits';
export { sheetRows } from './sheet';

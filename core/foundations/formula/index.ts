export { fitOfTag, tagsIn, type Expression } from './expression';
export { parseFormula } from './parseFormula';
export { compileFormula, addFormula, type Program } from './compile';
export { listsOf, type Lists } from './lists';
export { Sheet, type SheetFailure } from './sheet';
export { comesTo, readTyped } from './typedNumber';

export { FUNCTIONS, tagsIn, type Expression } from './expression';
export { FORMULA_LIMIT, parseFormula } from './parseFormula';
export { compileFormula, type Program } from './compile';
export { Tape, type TapeFailure } from './tape';
export { readTyped } from './typedNumber';

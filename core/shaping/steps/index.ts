/** Kinds of steps: what they say of themselves and begin with. Their solids stand in `solids`, their schemas in `data`. */
export type { StepContext } from './firstValues';
export { menuOf } from './kinds';
export { moreOptions, newStep, stepSentence, type SentenceNames } from './stepSentence';

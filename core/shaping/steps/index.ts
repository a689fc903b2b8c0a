/** Kinds of steps: what they say of themselves and begin with. Their solids stand in `solids`, their schemas in `data`. */
export type { StepContext } from './firstValues';
export { findSteps, likelyNext } from './findSteps';
export { menuOf } from './kinds';
export { offersOnFace, type FaceFacts, type FaceOffer } from './onFace';
export { moreOptions, newStep, stepSentence, type SentenceNames } from './stepSentence';

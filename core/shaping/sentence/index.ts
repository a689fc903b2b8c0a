export { capital } from './capital';
export { listed } from './listed';
/** The pieces that the sentences of steps are made of. */
export {
  type Option,
  CHOICE_FIGURES,
  type ChoiceFigure,
  type PickWanted,
  type PlainKind,
  type Column,
  type SentencePart,
  verb,
  words,
  chip,
  angle,
  plainNumber,
  typedWords,
  choice,
  added,
  setting,
  spokenSentence,
  degrees,
} from './parts';
export { type NamedLayout, type NamedBody, type SentenceSources, type SentenceContext } from './context';
export {
  type EarlierStep,
  placeWords,
  finerOptions,
  groundedOptions,
  groundedWords,
  type Placed,
  effectVerb,
  groundChoice,
  levelChoice,
  floorOption,
  standing,
} from './places';
export { curvesIn, emptyDrawing, outlineAs, outlineParts, turnParts } from './outlines';
export { edgeChoice, stepsBefore } from './edges';
export { withSideNames } from './sideNames';
export { mirroredWhat, repeatedWhat } from './someSteps';

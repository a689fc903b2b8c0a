/** What rows and steps are made of: ids, lengths, plain numbers, places, edge rules, outlines. */
export { Id, line, MODEL_LIMIT_MM, name, NAME_LIMIT, paragraph } from './ids';
export { fitValue, numberValue, sizeValue, Value } from './value';
export {
  angleWithin,
  countWithin,
  factorWithin,
  isTaken,
  PLAIN_NUMBERS,
  TakenNumber,
  type PlainBounds,
  type PlainNumber,
  type PlainQuantity,
} from './plainNumber';
export {
  EdgePick,
  FacePick,
  FromStep,
  Ground,
  isThere,
  MeasuredFrom,
  place,
  placeOnGround,
  placeOnTop,
  OUTWARD,
  Side,
  type Place,
} from './place';
export { belowOf, HoleHead } from './holeHead';
export { EdgeRule } from './edgeRule';
export {
  DrawnCurve,
  DrawnOutline,
  DrawnPath,
  isDrawnPath,
  Followed,
  OutlineConstraint,
  OutlineDimension,
} from './drawnOutline';
export { OutlineShape, type OutlineShapeName } from './outline';
export { Effect, step, takesAway } from './stepBase';
export { turn } from './turn';
export type { Settled, SettledOutline, SettledParts } from './settled';
export { Afterwork } from './afterwork';
export {
  BED_ADHESIONS,
  INFILL_PATTERNS,
  SUPPORTS,
  type InfillPattern,
  type BedAdhesion,
  type Support,
} from './printChoices';
export {
  BREAKS,
  Brief,
  DANGERS,
  HEATS,
  LASTINGS,
  type Lasting,
  INSIDES,
  LOADS,
  MOVEMENTS,
  NO_BRIEF,
  SURROUNDINGS,
  type Break,
  type Danger,
  type Heat,
  type Inside,
  type Load,
  type Movement,
  type Surrounding,
} from './brief';
export { GRADES, RESISTANCES, type Grade, type Resistance } from './resistances';

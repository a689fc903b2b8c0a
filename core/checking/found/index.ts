export {
  comparedOver,
  foundFigures,
  waysOver,
  type FoundCompared,
  type FoundWays,
  type FoundFigures,
} from './compareFound';
export { boxOf, FOUND_UNITS, likelyUnit, type FoundUnit } from './units';
export { meshLaid } from './deviation';
export { MOST_FOUND_BYTES, type FoundMesh } from './foundMesh';
export { painted, type Painted } from './paint';
export { readFound } from './readFound';
export { laidByAll } from './align';
export { type Laid } from './refine';
export { waysFromPlaces, type PlacePair } from './fromPlaces';

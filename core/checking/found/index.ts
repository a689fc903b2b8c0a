export {
  comparedOver,
  foundFigures,
  waysOver,
  type FoundCompared,
  type FoundWays,
  type FoundFigures,
} from './compareFound';
export { boxOf, FOUND_UNITS, likelyUnit, type FoundUnit } from './units';
export { meshAligned } from './deviation';
export { MOST_FOUND_BYTES, type FoundMesh } from './foundMesh';
export { painted, type Painted } from './paint';
export { readFound } from './readFound';
export { alignedByAll } from './align';
export { type Aligned } from './refine';
export { waysFromPlaces, type PlacePair } from './fromPlaces';

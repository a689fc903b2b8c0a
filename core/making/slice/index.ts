export {
  areaMm2,
  areaOfCorners,
  areaWithin,
  both,
  boundsOf,
  cornersOfArea,
  grown,
  holds,
  isNothing,
  joined,
  movedBy,
  opened,
  outside,
  PER_MM,
  piecesOf,
  placeWithin,
  sameArea,
  without,
  type Area,
} from './region';
export { areaOf, contoursAt, cutTable, type Contours, type CutTable } from './contours';
export { lengthOf, PATH_KINDS, volumeOf, type LayerPath, type PathKind, type SlicedLayer } from './paths';
export { type LayerSettings } from './settings';
export { layerCount, Slicer, type LayerHabits, type LayerWarning, type Sliced } from './slicer';
export { adhesionOf, adhesionReachMm } from './adhesion';

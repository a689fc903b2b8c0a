export { faultInGcode, writeGcode } from './gcode';
export { toolpathOf, MOVE_KINDS, type Toolpath, type ToolpathLayer, type MoveKind } from './toolpath';
export { ENERGY_PRICE, jobFigures, type JobFigures, type PartFigures } from './jobFigures';
export { secondsOfMoves, trapezoid } from './motion';
export { keptJob, type KeptJob } from './keptJob';
export { readGcode, type ReadGcode, type ReadMove } from './readGcode';
export { overhangsOnBed, overhangFaces, type OverhangFaces } from './overhangFaces';
export { hullOf, type Hull } from './hull';
export {
  faultOfSize,
  LayerSlicer,
  layerMeans,
  settingsFor,
  type PartPlacement,
  type SlicedJob,
  type LayerRequest,
} from './layerSlicer';
export type { BedPlace, BedWarning, PartOnBed } from './partOnBed';
export { AS_MODELLED, orientedAxes, oriented, orientationsOf, type Orientation } from './orientations';
export { blankDrawing, drawingOf, type LayerDrawing } from './drawing';
export { happeningsIn, type Happening } from './happenings';
export { MOST_PIECES, placesOnBed } from './placesOnBed';
export { sliceRequestOf, type RequestedPart, type RequestedSpare, type SliceRequest } from './sliceRequest';

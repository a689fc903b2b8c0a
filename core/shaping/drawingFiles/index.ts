export type { DrawingFile, DrawingFileFault, LayeredCurve } from './drawingFile';
export { readDxf } from './readDxf';
export { curvesThrough, readPoints } from './readPoints';
export { PIXEL_MM, readSvg } from './readSvg';
export { drawnFromFile, sizeOfCurves } from './takenIn';
export { writeDxf } from './writeDxf';

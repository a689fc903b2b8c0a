export { PROGRAM, stepString, withStepHeader, type StepHeader } from './stepHeader';
export { trianglesOfPly, writePly } from './ply';
export { writeStl } from './stl';
export { writeThreeMf, type NamedMesh, type Placing } from './threeMf';
export { fileStem } from './fileName';
export { SHEET_COLUMNS, sheetCsv, type SheetRow } from './sizeSheet';
export { mimeOf, SPARE_FORMATS, type SpareFile, type SpareFormat } from './spareFormats';
export { curvesSvg, outlineSvg, runSvg } from './outlineSvg';

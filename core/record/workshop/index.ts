export { isPrinter } from './isPrinter';
export { INSTRUMENTS, instrumentIn, leastShared, permissibleError } from './instruments';
export { jawError } from './jaws';
export { MACHINES, correctionOf, machineIn, NORMAL_95, type Asked, type WorkedCorrection } from './machines';
export {
  BESIDES,
  SCATTER_TIMES,
  SMALLEST_MM,
  startingBeliefs,
  type Besides,
  type DoubtPart,
} from './untried';
export { FIT_TABLES, REFERENCE_MM, fitTableIn } from './fitTables';
export { growthOf, type Growth } from './shrinking';
export { DEFAULT_WORKSHOP, lackingRows, withUsualRows } from './workshop';
export { LAYER_PRINTERS, layerPrinterFor, layerPrinterIn, lineBreadthMm } from './layerPrinters';
export { FILAMENTS, filamentIn } from './filaments';
export { materialIn, materialsIn } from './materials';
export { resistancesOf } from './materialResistances';
export { bearingOf, type Bearing } from './yields';
export { MATERIALS } from './usualMaterials';
export { RESIN_PRINTERS, resinPrinterIn } from './resinPrinters';
export { RESINS, resinIn } from './resins';
export { RESIN_SETS, resinSetIn, resinSetsIn } from './resinSets';
export { LAYER_SETS, layerSetIn, layerSetsIn } from './layerSets';

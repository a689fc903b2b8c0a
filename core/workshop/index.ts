export { INSTRUMENTS, instrumentIn, permissibleError } from './instruments';
export { jawError } from './jaws';
export {
  MACHINES,
  correctionOf,
  machineIn,
  NORMAL_95,
  UNTRIED_SCALE_DOUBT,
  type WorkedCorrection,
} from './machines';
export { FIT_TABLES, REFERENCE_MM, fitTableIn } from './fitTables';
export { growthOf, type Growth } from './shrinking';
export { DEFAULT_WORKSHOP, lackingRows, withUsualRows } from './workshop';
export { LAYER_PRINTERS, layerPrinterIn } from './layerPrinters';
export { FILAMENTS, filamentIn } from './filaments';
export { LAYER_SETS, layerSetIn, layerSetsIn } from './layerSets';

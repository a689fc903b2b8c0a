export {
  PracticePrinter,
  type AskedOfPrinter,
  type MadeDimension,
  type PrinterReport,
  type PrinterTask,
  type PrinterWorld,
} from './printer';

export { PRINT_FIGURES, printFigure, printFigureKey, type PrintFigure } from './printFigures';
export { printDrawing } from './printDrawings';

import { printDrawing, type PrintFigure } from '@core/making/figures';

import { LineDrawing } from './LineDrawing';

/** The choice of each setting that takes the most room. */
const WIDEST: Record<PrintFigure['setting'], PrintFigure> = {
  infill: { setting: 'infill', choice: 'lines' },
  adhesion: { setting: 'adhesion', choice: 'skirt' },
  supports: { setting: 'supports', choice: 'none' },
};

/** A print setting as a tile draws it. */
export function DrawnSetting(figure: PrintFigure) {
  const drawing = printDrawing(figure);
  const inView = printDrawing(WIDEST[figure.setting]).edges;
  return <LineDrawing picture={drawing} made={drawing.made} inView={inView} size={64} />;
}

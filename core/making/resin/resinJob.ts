import type { Resin, ResinPrinter, ResinSet } from '@core/record/model';
import type { Area } from '@core/making/slice';

/** What is lit in one layer. Areas in mm from the middle of the bed. */
export interface ResinLayer {
  topMm: number;
  heightMm: number;
  parts: Area;
  pillars: Area;
  /** Light, s. */
  seconds: number;
}

export interface ResinJob {
  layers: ResinLayer[];
  printer: ResinPrinter;
  resin: Resin;
  set: ResinSet;
}

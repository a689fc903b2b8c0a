import type { Picture } from '@core/model';

/** A starter as it is drawn: its spare in lines, and where each of its numbers is taken. Millimetres of the picture. */
export interface StarterFigure {
  picture: Picture;
  marks: { key: string; from: [number, number]; to: [number, number] }[];
}

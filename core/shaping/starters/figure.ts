import { z } from 'zod';

import { Picture } from '@core/record/model';

const Point = z.tuple([z.number(), z.number()]);

/** A starter as it is drawn: its spare in lines, and where each of its numbers is taken. Millimetres of the picture. */
export const StarterFigure = z.strictObject({
  picture: Picture,
  marks: z.array(z.strictObject({ key: z.string(), from: Point, to: Point })),
});
export type StarterFigure = z.infer<typeof StarterFigure>;

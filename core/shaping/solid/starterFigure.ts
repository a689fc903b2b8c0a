import { evaluateRepair } from '@core/fitting/fit';
import type { Picture } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import { onPicture, type Annotation } from '@core/shaping/part';
import type { Kernel } from '@core/shaping/kernel';

import { beginWith, type Starter, type StarterFigure } from '@core/shaping/starters';

import { figureState } from './figureState';
import { drawPicture } from './picture';
import { RepairBuilder } from './repairBuilder';

/** Draws a starter at its usual numbers. */
export function starterFigure(kernel: Kernel, starter: Starter): StarterFigure | null {
  let made = 0;
  const begun = beginWith(starter, { sizes: [] }, new Set(), () => `id-${(made += 1)}`);
  const { sizes, fits, bodies } = begun;
  const state = figureState(starter.name, { sizes, fits, bodies });
  const builder = new RepairBuilder(kernel);
  try {
    const built = builder.build(state.bodies, evaluateRepair(state));
    const main = state.bodies.find(({ role }) => role === 'spare');
    const solid = main && built.get(main.id)?.solid;
    if (!solid) return null;
    const box = built.get(main.id)!.box!;
    const clearMm = 0.14 * Math.hypot(box[3] - box[0], box[4] - box[1], box[5] - box[2]);
    const annotations = [...built.values()].flatMap(({ annotations: all }) => all);
    const keyOf = new Map([...begun.sizeOf].map(([key, { id }]) => [id, key]));
    const fitKey = new Map(begun.fits.map((fit) => [fit.id, keyOf.get(fit.counterpartSizeId)!]));
    const marks = new Map<string, StarterFigure['marks'][number]>();
    for (const annotation of annotations) {
      const { value } = annotation;
      const key =
        value.from === 'size' ? keyOf.get(value.id) : value.from === 'fit' ? fitKey.get(value.id) : undefined;
      if (key && !marks.has(key)) marks.set(key, { key, ...lineOf(annotation, clearMm) });
    }
    const picture = drawPicture(solid, starter.id);
    return { picture, marks: [...marks.values()].filter(isBeside(picture)) };
  } finally {
    builder.dispose();
  }
}

/** What is taken on another body, which is not drawn, would stand far away from it. */
function isBeside({ outline }: Picture): (mark: StarterFigure['marks'][number]) => boolean {
  const points = outline.flat();
  const [left, right, low, high] = [0, 1].flatMap((axis) => {
    const along = points.filter((_, index) => index % 2 === axis);
    const [least, most] = [Math.min(...along), Math.max(...along)];
    return [least - ROOM_BESIDE * (most - least), most + ROOM_BESIDE * (most - least)];
  }) as [number, number, number, number];
  return ({ from, to }) => [from, to].every(([x, y]) => x >= left && x <= right && y >= low && y <= high);
}

/** Share of the picture that numbers may stand beside it. */
const ROOM_BESIDE = 0.6;

/** The line that a number is drawn along: of a span clear of the part, the way it looks longest; of a leader outwards. */
function lineOf(
  { form, spans, points }: Annotation,
  clearMm: number,
): { from: [number, number]; to: [number, number] } {
  // What is longer than a direction is how far it is to the rim.
  const beside = (at: Vec3, out: Vec3, mm: number): Vec3 => {
    const length = Math.hypot(...out);
    const times = length > 1.01 ? 1 + mm / length : mm;
    return [at[0] + times * out[0], at[1] + times * out[1], at[2] + times * out[2]];
  };
  const lines =
    form === 'span'
      ? spans.map(({ from, to, out }) => ({
          from: onPicture(beside(from, out, clearMm)),
          to: onPicture(beside(to, out, clearMm)),
        }))
      : points.map(({ at, out }) => ({ from: onPicture(at), to: onPicture(beside(at, out, clearMm)) }));
  const length = ({ from, to }: (typeof lines)[number]) => Math.hypot(to[0] - from[0], to[1] - from[1]);
  return lines.reduce((best, line) => (length(line) > length(best) * 1.01 ? line : best));
}

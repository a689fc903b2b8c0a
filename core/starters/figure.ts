import { evaluateRepair } from '@core/fit';
import type { Picture, RepairState } from '@core/model';
import { drawPicture, onPicture, RepairBuilder, type Annotation, type Kernel } from '@core/solid';

import { beginWith } from './begin';
import type { Starter } from './starter';

/** A starter as it is drawn: its spare in lines, and where each of its numbers is taken. Millimetres of the picture. */
export interface StarterFigure {
  picture: Picture;
  marks: { key: string; from: [number, number]; to: [number, number] }[];
}

/** Draws a starter at its usual numbers. */
export function starterFigure(kernel: Kernel, starter: Starter): StarterFigure | null {
  let made = 0;
  const begun = beginWith(starter, { sizes: [] }, new Set(), () => `id-${(made += 1)}`);
  const state: RepairState = {
    head: {
      id: 'figure',
      version: 1,
      name: starter.name,
      place: '',
      whatBroke: '',
      materialId: 'petg',
      machineId: 'bench-printer',
      createdAt: '2026-01-01T00:00:00.000Z',
      removed: false,
    },
    sizes: begun.sizes,
    readings: [],
    layouts: [],
    fits: begun.fits,
    chains: [],
    photos: [],
    bodies: begun.bodies,
  };
  const builder = new RepairBuilder(kernel);
  try {
    const built = builder.build(state.bodies, evaluateRepair(state));
    const main = state.bodies.find(({ role }) => role === 'spare');
    const solid = main && built.get(main.id)?.solid;
    if (!solid) return null;
    const annotations = [...built.values()].flatMap(({ annotations: all }) => all);
    const keyOf = new Map([...begun.sizeOf].map(([key, { id }]) => [id, key]));
    const fitKey = new Map(begun.fits.map((fit) => [fit.id, keyOf.get(fit.counterpartSizeId)!]));
    const marks = new Map<string, StarterFigure['marks'][number]>();
    for (const annotation of annotations) {
      const { value } = annotation;
      const key =
        value.from === 'size' ? keyOf.get(value.id) : value.from === 'fit' ? fitKey.get(value.id) : undefined;
      if (key && !marks.has(key)) marks.set(key, { key, ...lineOf(annotation) });
    }
    return { picture: drawPicture(solid, starter.id), marks: [...marks.values()] };
  } finally {
    builder.dispose();
  }
}

/** The line that a number is drawn along: of a span the way it looks longest; of a leader a short way out. */
function lineOf({ form, spans, points, mm }: Annotation): { from: [number, number]; to: [number, number] } {
  const lines =
    form === 'span'
      ? spans.map(({ from, to }) => ({ from: onPicture(from), to: onPicture(to) }))
      : points.map(({ at, out }) => ({
          from: onPicture(at),
          to: onPicture([at[0] + out[0] * mm, at[1] + out[1] * mm, at[2] + out[2] * mm]),
        }));
  const length = ({ from, to }: (typeof lines)[number]) => Math.hypot(to[0] - from[0], to[1] - from[1]);
  return lines.reduce((best, line) => (length(line) > length(best) ? line : best));
}

import type { Repair } from '@core/record/model';

import type { ShownBody, SolidView } from '../solid/useSolid';

/** A body as the picture draws it. */
export type DrawnBody = Pick<ShownBody, 'bodyId' | 'mesh' | 'annotations' | 'centreLines' | 'failedTool'>;

/** Each body as it was looked over last, or as it stands now if that is newer; a kept picture knows nothing of what was removed since. */
export function drawnOf({ bodies, unchecked }: SolidView, repair: Pick<Repair, 'bodies'>): DrawnBody[] {
  const isHere = (id: string) => repair.bodies.some((body) => body.id === id && !body.removed);
  const newer = unchecked.flatMap((body) =>
    isHere(body.bodyId) ? [{ ...body, failedTool: null as Float32Array | null }] : [],
  );
  const of = (id: string) => newer.find(({ bodyId }) => bodyId === id);
  const isNew = ({ bodyId }: DrawnBody) => !bodies.some((body) => body.bodyId === bodyId);
  return [...bodies.map((body) => of(body.bodyId) ?? body), ...newer.filter(isNew)];
}

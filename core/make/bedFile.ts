import { no, ok, type Fault, type Result } from '@core/fault';
import { fileStem, mimeOf, writeThreeMf, type NamedMesh, type SpareFile } from '@core/formats';
import { meshOf } from '@core/kernel';
import { FILE_QUALITY, openEdgeCount, weld } from '@core/part';

import { placedOnBed } from './asMade';
import { sizedSolid, type Spare } from './spareFiles';

/** A spare with where the middles of its pieces stand, mm from the middle of the bed. */
export interface SpareOnBed {
  spare: Spare;
  at: readonly (readonly [number, number])[];
}

/**
 * All that lies on one bed as one 3MF package: each spare an object, each of its pieces placed where it lies.
 * @param when ISO 8601 instant.
 */
export function bedFile(spares: readonly SpareOnBed[], when: string): Result<SpareFile, Fault> {
  const meshes: NamedMesh[] = [];
  for (const { spare, at } of spares) {
    const sized = sizedSolid(spare.built, spare.growth);
    if (!sized.ok) return sized;
    const { solid, dispose } = sized.value;
    const mesh = weld(meshOf(solid, FILE_QUALITY));
    dispose();
    if (openEdgeCount(mesh) > 0) return no({ code: 'step.notValid', reason: 'trianglesOpen' });
    const { material, laid } = spare.asMade;
    const middle = laid ? placedOnBed(mesh, laid.down, laid.bedMm) : null;
    meshes.push({
      name: spare.body.name,
      mesh,
      material,
      ...(middle
        ? {
            placed: at.map(([x, y]) => ({
              turn: middle.turn,
              by: [middle.by[0] + x, middle.by[1] + y, middle.by[2]] as const,
            })),
          }
        : {}),
    });
  }
  const { head, asMade } = spares[0]!.spare;
  const names = spares.map(({ spare, at }) =>
    at.length > 1 ? `${at.length} × ${spare.body.name}` : spare.body.name,
  );
  const making = { Printer: asMade.printer, ...(asMade.laid ? { Settings: asMade.laid.settings } : {}) };
  const name = `${fileStem(head.name, ...spares.map(({ spare }) => spare.body.name))}.3mf`;
  const bytes = writeThreeMf(meshes, [head.name, ...names].join(', '), when, making);
  return ok({ name, mime: mimeOf('3mf'), bytes });
}

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { fileStem, mimeOf, writeThreeMf, type NamedMesh, type SpareFile } from '@core/making/formats';
import { meshOf } from '@core/shaping/kernel';
import type { Vec3 } from '@core/foundations/vectors';
import { FILE_QUALITY, openEdgeCount, weld, withoutSlivers } from '@core/shaping/part';

import { placedOnBed } from './asMade';
import { sizedSolid, type Spare } from './spareFiles';

/** A spare with where the middles of its pieces stand, mm from the middle of the bed. */
export interface SpareOnBed {
  spare: Spare;
  at: readonly (readonly [number, number])[];
}

/** Its own underside lies on the bed. */
const AS_MODELLED: Vec3 = [0, 0, -1];

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
    const mesh = withoutSlivers(weld(meshOf(solid, FILE_QUALITY)));
    dispose();
    if (openEdgeCount(mesh) > 0) return no({ code: 'step.notValid', reason: 'trianglesOpen' });
    const { material, laid } = spare.asMade;
    // Where nobody said how it is laid it stands as it is modelled; each piece has its place all the same.
    const { turn, by } = placedOnBed(mesh, laid?.down ?? AS_MODELLED, laid?.bedMm ?? null);
    meshes.push({
      name: spare.body.name,
      mesh,
      material,
      placed: at.map(([x, y]) => ({ turn, by: [by[0] + x, by[1] + y, by[2]] })),
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

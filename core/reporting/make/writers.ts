import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { withStepHeader, writeStl, writeThreeMf, type SpareFormat } from '@core/making/formats';
import { meshOf, writeStep, type TaggedSolid } from '@core/shaping/kernel';
import { FILE_QUALITY, openEdgeCount, weld, withoutSlivers, type WeldedMesh } from '@core/shaping/part';

import { placedOnBed, type AsMade } from './asMade';

/** What is written of a spare. */
export interface Written {
  solid: TaggedSolid;
  /** Of the file. */
  title: string;
  /** Of the body. */
  name: string;
  /** ISO 8601 instant. */
  when: string;
  asMade: AsMade;
}

/** How each format is written. */
export const WRITERS: Record<SpareFormat, (spare: Written) => Result<Uint8Array, Fault>> = {
  stl: (spare) => ofTriangles(spare, (mesh) => writeStl(mesh, spare.title)),
  '3mf': (spare) =>
    ofTriangles(spare, (mesh) => {
      const { material, printer, laid } = spare.asMade;
      const placed = laid ? { placed: [placedOnBed(mesh, laid.down, laid.bedMm)] } : {};
      const making = { Printer: printer, ...(laid ? { Settings: laid.settings } : {}) };
      return writeThreeMf([{ name: spare.name, mesh, material, ...placed }], spare.title, spare.when, making);
    }),
  step: ({ solid, title, when }) =>
    ok(withStepHeader(writeStep(solid.kernel, [{ name: title, shape: solid.shape }]), { name: title, when })),
};

/** Its triangles, once it is known that they close. */
function ofTriangles({ solid }: Written, write: (mesh: WeldedMesh) => Uint8Array): Result<Uint8Array, Fault> {
  const mesh = withoutSlivers(weld(meshOf(solid, FILE_QUALITY)));
  return openEdgeCount(mesh) > 0 ? no({ code: 'step.notValid', reason: 'trianglesOpen' }) : ok(write(mesh));
}

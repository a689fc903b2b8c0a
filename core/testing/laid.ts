import { USUAL_LAYING } from '@core/record/model';
import type { WeldedMesh } from '@core/shaping/part';
import {
  AS_IT_STANDS,
  LayerBench,
  settingsFor,
  type LaidOut,
  type Laying,
  type PartOnBed,
} from '@core/making/printing';
import type { LayerSettings } from '@core/making/slice';
import { FILAMENTS, LAYER_PRINTERS, LAYER_SETS } from '@core/record/workshop';
import { sentenceOf } from '@core/reporting/wording';

/** Settings that a workshop begins with, as the bench printer lays a body that says nothing else. */
export function settingsNamed(id: 'draft' | 'everyday' | 'strong' | 'fine'): LayerSettings {
  const set = LAYER_SETS.find((one) => one.id === id)!;
  return settingsFor(set, USUAL_LAYING, LAYER_PRINTERS[0]!);
}

/** One piece of a part that lies as it stands, with everyday settings. */
export const partOf = (mesh: WeldedMesh, fields: Partial<PartOnBed> = {}): PartOnBed => ({
  name: 'Part',
  mesh,
  down: AS_IT_STANDS,
  settings: settingsNamed('everyday'),
  pieces: 1,
  ...fields,
});

/** Parts in PETG on the bench printer. */
export const jobOf = (parts: readonly PartOnBed[], fields: Partial<Laying> = {}): Laying => ({
  parts,
  machine: LAYER_PRINTERS[0]!,
  material: FILAMENTS[0]!,
  density: 1.27,
  ...fields,
});

/** Lays at one go; what comes of it, or what stands in the way. */
export function tryToLay(laying: Laying, bench = new LayerBench()) {
  const work = bench.layOut(laying);
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

/** Lays what can be laid. */
export function laid(laying: Laying, bench?: LayerBench): LaidOut {
  const reply = tryToLay(laying, bench);
  if (!reply.ok) throw new Error(sentenceOf(reply.fault));
  return reply.value;
}

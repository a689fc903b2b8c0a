import { USUAL_PRINT_SETUP } from '@core/record/model';
import type { WeldedMesh } from '@core/shaping/part';
import {
  AS_MODELLED,
  LayerSlicer,
  settingsFor,
  type SlicedJob,
  type LayerRequest,
  type PartOnBed,
} from '@core/making/printing';
import type { LayerSettings } from '@core/making/slice';
import { FILAMENTS, LAYER_PRINTERS, LAYER_SETS } from '@core/record/workshop';
import { sentenceOf } from '@core/reporting/wording';

/** Settings that a workshop begins with, as the bench printer lays a body that says nothing else. */
export function settingsNamed(id: 'draft' | 'everyday' | 'strong' | 'fine'): LayerSettings {
  const set = LAYER_SETS.find((one) => one.id === id)!;
  return settingsFor(set, USUAL_PRINT_SETUP, LAYER_PRINTERS[0]!);
}

/** One piece of a part that lies as it stands, with everyday settings. */
export const partOf = (mesh: WeldedMesh, fields: Partial<PartOnBed> = {}): PartOnBed => ({
  name: 'Part',
  mesh,
  down: AS_MODELLED,
  settings: settingsNamed('everyday'),
  pieces: 1,
  ...fields,
});

/** Parts in PETG on the bench printer. */
export const jobOf = (parts: readonly PartOnBed[], fields: Partial<LayerRequest> = {}): LayerRequest => ({
  parts,
  machine: LAYER_PRINTERS[0]!,
  material: FILAMENTS[0]!,
  density: 1.27,
  ...fields,
});

/** Lays at one go; what comes of it, or what stands in the way. */
export function tryToLay(laying: LayerRequest, bench = new LayerSlicer()) {
  const work = bench.slice(laying);
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

/** Lays what can be printed. */
export function sliceNow(laying: LayerRequest, bench?: LayerSlicer): SlicedJob {
  const reply = tryToLay(laying, bench);
  if (!reply.ok) throw new Error(sentenceOf(reply.fault));
  return reply.value;
}

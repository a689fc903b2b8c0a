import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { evaluateRepair } from '@core/fitting/fit';
import { startKernel } from '@core/shaping/kernel';
import { layerMeshOf, spareStems } from '@core/reporting/make';
import type { Body, RepairFileContent } from '@core/record/model';
import type { WeldedMesh } from '@core/shaping/part';
import {
  LayerSlicer,
  layerMeans,
  sliceRequestOf,
  orientationsOf,
  writeGcode,
  type SlicedJob,
  type SliceRequest,
} from '@core/making/printing';
import { imageStack, ResinSlicer, type SlicedResin } from '@core/making/resin';
import { RepairBuilder } from '@core/shaping/solid';
import { layerWarningSentence, resinWarningSentence, sentenceOf } from '@core/reporting/wording';
import { growthOf, machineIn } from '@core/record/workshop';

import { lettersFont } from '../lettersFont';
import { stepTeller, writeWhole, type Telling } from './build';

/** How a repair is to be sliced. */
export interface SliceWish {
  /** Of the workshop. */
  machineId: string;
  /** Settings that are used whatever the bodies hold; null for theirs. */
  setId: string | null;
  /** On its best face, whatever its body holds. */
  bestWay: boolean;
}

/** What came of a spare: its figures as data, and its file. */
interface SlicedSpare {
  figures: object;
  ending: 'gcode' | 'zip';
  bytes: Uint8Array;
}

/**
 * Slices every spare of a repair as its body holds it (orientation, settings, supports, bed adhesion), prints a JSON line for each, and writes its
 * G-code, or for resin a ZIP of pictures.
 *
 * @returns false if one could not be sliced.
 */
export async function slice(
  { repair, workshop }: RepairFileContent,
  outFolder: string,
  { machineId, setId, bestWay }: SliceWish,
  telling: Telling,
): Promise<boolean> {
  mkdirSync(outFolder, { recursive: true });
  const head = { ...repair.head, machineId };
  const numbers = evaluateRepair({ ...repair, head }, workshop);
  const stems = spareStems(head, repair.bodies, '');
  const builder = new RepairBuilder(await startKernel(), lettersFont());
  const growth = growthOf(machineIn(numbers.workshop, machineId));
  let allWell = true;
  for (const [bodyId, built] of builder.build(repair.bodies, numbers, stepTeller(repair, telling))) {
    const body = repair.bodies.find(({ id }) => id === bodyId)!;
    if (body.role !== 'spare') continue;
    const request = sliceRequestOf([{ body, pieces: 1 }], head, numbers.workshop, setId ?? undefined);
    const mesh = layerMeshOf(built, growth);
    const made = mesh.ok
      ? sliced(request, mesh.value, { body, bestWay, title: `${head.name}, ${body.name}` })
      : mesh;
    if (!made.ok) {
      allWell = false;
      telling.tell(`${body.name}: ${sentenceOf(made.fault)}`);
      continue;
    }
    const { figures, ending, bytes } = made.value;
    const file = `${stems.get(bodyId)!}.${ending}`;
    writeWhole(join(outFolder, file), bytes);
    telling.print(JSON.stringify({ body: body.name, machine: request.machine.name, ...figures, file }));
  }
  builder.dispose();
  return allWell;
}

function sliced(
  request: SliceRequest,
  mesh: WeldedMesh,
  { body, bestWay, title }: { body: Body; bestWay: boolean; title: string },
): Result<SlicedSpare, Fault> {
  const { machine, material, resin } = request;
  const part = { ...request.parts[0]!, mesh };
  const overhang = (resin?.printer ?? machine.printer)?.overhang;
  if (bestWay && overhang !== undefined)
    part.down = orientationsOf(mesh, overhang, body.laying?.load ?? null)[0]!.down;
  const when = new Date().toISOString();
  if (resin) {
    if (!resin.resin) return no({ code: 'slice.noResin', material: material.name });
    const laying = {
      parts: [part],
      printer: resin.printer,
      resin: resin.resin,
      set: resin.set,
      density: material.density,
    };
    const laid = finished(new ResinSlicer().slice(laying));
    if (!laid.ok) return laid;
    const bytes = finished(imageStack(laid.value.job, title, when));
    return ok({ figures: resinFiguresOf(laid.value, resin.set.name), ending: 'zip', bytes });
  }
  const means = layerMeans(machine, material);
  if (!means.ok) return means;
  const laid = finished(
    new LayerSlicer().slice({ ...means.value, parts: [part], density: material.density }),
  );
  if (!laid.ok) return laid;
  const gcode = writeGcode(laid.value.job, title, when);
  if (!gcode.ok) return gcode;
  return ok({
    figures: figuresOf(laid.value),
    ending: 'gcode',
    bytes: new TextEncoder().encode(gcode.value),
  });
}

/** What work comes to that is done in stretches. */
function finished<T>(work: Generator<number, T>): T {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

const round = (value: number, places: number) => Number(value.toFixed(places));

function figuresOf({ figures, sliced: { warnings }, job }: SlicedJob) {
  return {
    settings: job.settings.name,
    minutes: round(figures.minutes, 2),
    metres: round(figures.metres, 4),
    grams: round(figures.grams, 3),
    layers: figures.layers,
    cost: round(figures.cost.whole, 2),
    kinds: Object.fromEntries(figures.kinds.map(({ kind, seconds }) => [kind, round(seconds / 60, 2)])),
    warnings: warnings.map(({ part: _part, ...warning }) => ({
      ...warning,
      sentence: layerWarningSentence(warning),
    })),
  };
}

function resinFiguresOf({ figures, warnings }: SlicedResin, settings: string) {
  return {
    settings,
    minutes: round(figures.minutes, 2),
    grams: round(figures.grams, 3),
    layers: figures.layers,
    cost: round(figures.cost.whole, 2),
    warnings: warnings.map((warning) => ({ ...warning, sentence: resinWarningSentence(warning) })),
  };
}

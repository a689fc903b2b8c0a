import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import type { Fault } from '@core/fault';
import { evaluateRepair } from '@core/fit';
import { startKernel } from '@core/kernel';
import { layerMeshOf, spareStems } from '@core/make';
import { USUAL_LAYING, type LayerSet, type RepairFileContent } from '@core/model';
import {
  AS_IT_STANDS,
  LayerBench,
  layerMeans,
  settingsFor,
  waysUp,
  writeGcode,
  type LaidOut,
} from '@core/printing';
import { RepairBuilder } from '@core/solid';
import { layerWarningSentence, sentenceOf } from '@core/wording';
import { filamentIn, growthOf, layerPrinterFor, machineIn, materialIn } from '@core/workshop';

import { lettersFont } from '../lettersFont';
import { stepTeller, writeWhole, type Telling } from './build';

/** How a repair is to be laid in layers. */
export interface SliceWish {
  /** Of the workshop. */
  machineId: string;
  set: LayerSet;
  /** Laid on its best face, or as it stands. */
  bestWay: boolean;
}

/**
 * Lays every spare of a repair in layers, prints a JSON line for each, and writes its G-code.
 * @returns false if one could not be laid.
 */
export async function slice(
  { repair, workshop }: RepairFileContent,
  outFolder: string,
  { machineId, set, bestWay }: SliceWish,
  telling: Telling,
): Promise<boolean> {
  mkdirSync(outFolder, { recursive: true });
  const head = { ...repair.head, machineId };
  const numbers = evaluateRepair({ ...repair, head }, workshop);
  const workshopMachine = machineIn(numbers.workshop, machineId);
  const material = materialIn(numbers.workshop, head.materialId);
  const means = layerMeans(
    { name: workshopMachine.name, printer: layerPrinterFor(numbers.workshop, machineId, material.family) },
    { name: material.name, filament: filamentIn(numbers.workshop, material.id) },
  );
  if (!means.ok) {
    telling.tell(sentenceOf(means.fault));
    return false;
  }
  const settings = settingsFor(set, USUAL_LAYING, means.value.machine);
  const stems = spareStems(head, repair.bodies, '');
  const builder = new RepairBuilder(await startKernel(), lettersFont());
  const growth = growthOf(workshopMachine);
  let allWell = true;
  for (const [bodyId, built] of builder.build(repair.bodies, numbers, stepTeller(repair, telling))) {
    const body = repair.bodies.find(({ id }) => id === bodyId)!;
    if (body.role !== 'spare') continue;
    const refuse = (fault: Fault) => {
      allWell = false;
      telling.tell(`${body.name}: ${sentenceOf(fault)}`);
    };
    const laid = layerMeshOf(built, growth);
    if (!laid.ok) {
      refuse(laid.fault);
      continue;
    }
    const mesh = laid.value;
    const down = bestWay ? waysUp(mesh, means.value.machine.overhang)[0]!.down : AS_IT_STANDS;
    const part = { name: body.name, mesh, down, settings, pieces: 1 };
    const run = new LayerBench().layOut({ ...means.value, parts: [part], density: material.density });
    let step = run.next();
    while (!step.done) step = run.next();
    if (!step.value.ok) {
      refuse(step.value.fault);
      continue;
    }
    const gcode = writeGcode(step.value.value.job, `${head.name}, ${body.name}`, new Date().toISOString());
    if (!gcode.ok) {
      refuse(gcode.fault);
      continue;
    }
    const file = `${stems.get(bodyId)!}.gcode`;
    writeWhole(join(outFolder, file), new TextEncoder().encode(gcode.value));
    telling.print(
      JSON.stringify({
        body: body.name,
        machine: workshopMachine.name,
        ...figuresOf(step.value.value),
        file,
      }),
    );
  }
  builder.dispose();
  return allWell;
}

function figuresOf({ figures, sliced: { warnings }, job }: LaidOut) {
  const round = (value: number, places: number) => Number(value.toFixed(places));
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

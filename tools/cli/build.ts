import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair } from '@core/fitting/fit';
import { fileStem } from '@core/making/formats';
import { figuresOf, findingsOf } from '@core/checking/inspect';
import { SPARE_FORMATS } from '@core/making/formats';
import { asMade, spareFile, spareStems } from '@core/reporting/make';
import { emptyRepair, type Repair, type RepairFileContent } from '@core/record/model';
import { massProperties, startKernel, type Kernel, type TaggedSolid } from '@core/shaping/kernel';
import { RepairBuilder } from '@core/shaping/solid';
import { beginWith, STARTERS } from '@core/shaping/starters';
import { findingSentence, sentenceOf } from '@core/reporting/wording';
import { DEFAULT_WORKSHOP, growthOf, machineIn, materialIn } from '@core/record/workshop';

import { lettersFont } from '../lettersFont';

/** What is told of a build as it goes on. */
export interface Telling {
  /** A JSON line of a body. */
  print(line: string): void;
  /** Something for the person beside that. */
  tell(sentence: string): void;
  /** A step is begun. */
  step(at: StepAt): void;
}

/** A step of a body, by its place from 1. */
export interface StepAt {
  body: string;
  place: number;
  of: number;
}

/**
 * Builds every body of a repair and prints one JSON line for each; writes the files of each spare that can be
 * made.
 * @returns false if a body could not be built or a spare not be written.
 */
export async function build(
  { repair, workshop }: RepairFileContent,
  outFolder: string,
  telling: Telling,
): Promise<boolean> {
  const { print, tell } = telling;
  mkdirSync(outFolder, { recursive: true });
  const kernel = await startKernel();
  const numbers = evaluateRepair(repair, workshop);
  const material = materialIn(numbers.workshop, repair.head.materialId);
  const growth = growthOf(machineIn(numbers.workshop, repair.head.machineId));
  let allWell = true;
  const stems = spareStems(repair.head, repair.bodies, '');
  tellOfTwins(repair, stems, tell);
  const builder = new RepairBuilder(kernel, lettersFont());
  for (const [bodyId, built] of builder.build(repair.bodies, numbers, stepTeller(repair, telling))) {
    const body = repair.bodies.find(({ id }) => id === bodyId)!;
    const figures = figuresOf(built, material);
    const findings = findingsOf(figures, built.steps, body).map((finding) => ({
      ...finding,
      sentence: findingSentence(finding),
    }));
    allWell &&= findings.length === 0;
    const files: string[] = [];
    if (body.role === 'spare' && findings.length === 0) {
      const stem = stems.get(bodyId)!;
      for (const { id } of SPARE_FORMATS) {
        const file = spareFile(
          id,
          {
            head: repair.head,
            body,
            built,
            stem,
            growth,
            asMade: asMade(repair.head, body, numbers.workshop),
          },
          '',
          new Date().toISOString(),
        );
        if (file.ok) {
          writeWhole(join(outFolder, file.value.name), file.value.bytes);
          files.push(file.value.name);
        } else {
          allWell = false;
          tell(`${body.name}: ${sentenceOf(file.fault)}`);
        }
      }
    }
    print(
      JSON.stringify({
        body: body.name,
        role: body.role,
        closed: figures?.closed ?? false,
        volumeMm3: figures?.volumeMm3 ?? 0,
        areaMm2: figures?.areaMm2 ?? 0,
        bboxMm: figures?.bboxMm ?? [0, 0, 0],
        massG: figures?.massG ?? 0,
        ...(built.solid ? weightOf(kernel, built.solid, material.density) : {}),
        faces: built.solid?.tagList().length ?? 0,
        findings,
        files,
        // Along x, y and z: what the files are larger by, for what shrinks.
        ...(growth ? { grownBy: growth } : {}),
      }),
    );
  }
  builder.dispose();
  return allWell;
}

/** Tells which step of a repair is begun. */
export function stepTeller({ bodies }: Repair, telling: Telling): (bodyId: string, stepId: string) => void {
  return (bodyId, stepId) => {
    const { name, steps } = bodies.find(({ id }) => id === bodyId)!;
    telling.step({ body: name, place: steps.findIndex(({ id }) => id === stepId) + 1, of: steps.length });
  };
}

/** Whoever stops it in between finds the whole file or none. */
export function writeWhole(path: string, bytes: Uint8Array): void {
  const fresh = `${path}.part`;
  writeFileSync(fresh, bytes);
  renameSync(fresh, path);
}

/** Says which spares would have the files of another, and what their own are called. */
function tellOfTwins(
  { head, bodies }: Repair,
  stems: ReadonlyMap<string, string>,
  tell: Telling['tell'],
): void {
  for (const { id, name } of bodies) {
    const stem = stems.get(id);
    if (stem === undefined || stem === fileStem(head.name, name)) continue;
    tell(`Another spare already has files named “${name}” already: its own are called ${stem}.`);
  }
}

/** Where a body balances, mm, and how it resists being turned about its upright axis there, g·mm². */
function weightOf(kernel: Kernel, { shape }: TaggedSolid, gPerCm3: number) {
  const { centre, momentMm5 } = massProperties(kernel, shape);
  return { centreMm: centre, momentGmm2: (momentMm5 * gPerCm3) / 1000 };
}

/** As build, of every starter at its usual numbers, each into a folder of its own. */
export async function buildStarters(outFolder: string, telling: Telling): Promise<boolean> {
  let made = 0;
  let allWell = true;
  for (const starter of STARTERS) {
    const begun = beginWith(starter, { sizes: [] }, new Set(), () => `id-${(made += 1)}`);
    const repair = {
      ...emptyRepair({ id: starter.id, name: starter.name, place: '' }, new Date().toISOString()),
      sizes: begun.sizes,
      fits: begun.fits,
      bodies: begun.bodies,
    };
    allWell =
      (await build({ repair, workshop: DEFAULT_WORKSHOP }, join(outFolder, starter.id), telling)) && allWell;
  }
  return allWell;
}

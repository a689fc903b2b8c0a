import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair, settledStep } from '@core/fitting/fit';
import { fileStem, outlineSvg, runSvg } from '@core/making/formats';
import type { RepairFileContent, SettledStep } from '@core/record/model';
import { DIMENSION_WORDS, drawingSentence, RELATION_WORDS, sentenceOf } from '@core/reporting/wording';
import { drawnInput, studyDrawn, type DrawnData } from '@core/shaping/drawn';
import { writeDxf } from '@core/shaping/drawingFiles';
import { startKernel } from '@core/shaping/kernel';
import { drawnRegion, drawnRun, regionArea } from '@core/shaping/outline';
import { outlineNumbers, type OutlineNumbers } from '@core/shaping/part';
import { RepairBuilder } from '@core/shaping/solid';
import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { ownValue } from '@core/foundations/own';

import { lettersFont } from '../lettersFont';
import { writeWhole, type Telling } from './build';

type Drawn = Extract<Extract<SettledStep, { kind: 'extrude' }>['outline'], { shape: 'drawn' }>;

/** Drawn outlines of a step by the field that holds them, wherever they stand in it. */
function drawnIn(data: unknown, field = ''): { drawn: Drawn; field: string }[] {
  if (typeof data !== 'object' || data === null) return [];
  if ('shape' in data && data.shape === 'drawn') return [{ drawn: data as Drawn, field }];
  return Object.entries(data).flatMap(([key, inside]) => drawnIn(inside, field ? `${field}.${key}` : key));
}

/** What is told of an outline, and its files by their endings if there is one. */
interface Told {
  well: boolean;
  line: object;
  files: ((title: string) => [ending: 'svg' | 'dxf', text: string][]) | null;
}

/**
 * Solves every drawn outline of a repair, prints one JSON line for each and writes it as SVG and DXF at true size.
 * @returns false if one of them can't hold what it should, or is no region.
 */
export async function outlines(
  { repair, workshop }: RepairFileContent,
  outFolder: string,
  { print, tell }: Pick<Telling, 'print' | 'tell'>,
): Promise<boolean> {
  mkdirSync(outFolder, { recursive: true });
  const numbers = evaluateRepair(repair, workshop);
  let allWell = true;
  let found = 0;
  // Solids are built only for a drawing that follows one.
  const built = repair.bodies.some(({ steps, removed }) => !removed && steps.some(followsPart))
    ? await builtRepair({ repair, workshop })
    : null;
  for (const body of repair.bodies.filter(({ removed }) => !removed))
    for (const [index, step] of body.steps.entries()) {
      const settled = settledStep(step, numbers);
      if (!settled.ok) {
        allWell = false;
        tell(`${body.name}, step ${index + 1}: ${sentenceOf(settled.fault)}`);
        continue;
      }
      for (const [which, { drawn, field }] of drawnIn(settled.value).entries()) {
        found += 1;
        const stem = `${fileStem(repair.head.name, body.name)}-step-${index + 1}`;
        const name = `${stem}${which > 0 ? `-${which + 1}` : ''}`;
        const known = followsPart(drawn)
          ? built!.lengthsOf(body.id, step.id)
          : outlineNumbers(drawn, numbers);
        const told = known.ok
          ? outlineLine(drawn, known.value, field.startsWith('path'))
          : { well: false, line: { sentence: sentenceOf(known.fault) }, files: null };
        allWell &&= told.well;
        const files = told.files?.(`${body.name}, step ${index + 1}`) ?? [];
        for (const [ending, text] of files)
          writeWhole(join(outFolder, `${name}.${ending}`), new TextEncoder().encode(text));
        print(
          JSON.stringify({
            body: body.name,
            step: index + 1,
            ...told.line,
            files: files.map(([ending]) => `${name}.${ending}`),
          }),
        );
      }
    }
  if (found === 0) tell('No step of this repair has a drawn outline.');
  return allWell;
}

/** Whether any curve or point within data follows a part. */
const followsPart = (data: unknown): boolean => JSON.stringify(data).includes('"follows":');

/** A repair with its solids, for drawings that follow them. */
async function builtRepair({ repair, workshop }: Pick<RepairFileContent, 'repair' | 'workshop'>) {
  const builder = new RepairBuilder(await startKernel(), lettersFont());
  const built = builder.build(repair.bodies, evaluateRepair(repair, workshop));
  return {
    /** Numbers of a step's drawing, with what it follows put where that is. */
    lengthsOf(bodyId: string, stepId: string): Result<OutlineNumbers, StepFault> {
      const failed = built.get(bodyId)?.steps.find(({ state }) => state === 'failed');
      const drawing = builder.of(bodyId)?.drawingOf(stepId);
      if (failed?.state === 'failed' && (failed.stepId === stepId || !drawing)) return no(failed.fault);
      return drawing ? ok(drawing.lengths) : no({ code: 'outline.followsNowhere' });
    },
  };
}

/** @param isPath it is a path, which may be open and has no area. */
function outlineLine(outline: Drawn, lengths: OutlineNumbers, isPath: boolean): Told {
  const data = outline as DrawnData;
  const input = drawnInput(data, (path) => ownValue(lengths, path));
  const studied = studyDrawn(input);
  const region = isPath ? null : drawnRegion(data, lengths);
  const run = isPath ? drawnRun(data, lengths) : null;
  const made = region ?? run!;
  const named = (id: string) => {
    const dimension = input.dimensions.find((one) => one.dimension.id === id);
    if (dimension) return dimension.tag ?? DIMENSION_WORDS[dimension.dimension.kind].toLowerCase();
    const relation = input.relations.find((one) => one.id === id);
    return relation ? RELATION_WORDS[relation.kind].toLowerCase() : id;
  };
  return {
    well: made.ok && studied.conflict.length === 0,
    files: region?.ok
      ? (title) => [
          ['svg', outlineSvg(region.value, title)],
          ['dxf', writeDxf([region.value.outer, ...region.value.holes].flat(), 'Outline')],
        ]
      : run?.ok
        ? (title) => [
            ['svg', runSvg(run.value, title)],
            ['dxf', writeDxf(run.value.curves, 'Path')],
          ]
        : null,
    line: {
      points: Object.fromEntries(studied.points),
      waysLeft: studied.freedom.waysLeft,
      conflicts: studied.conflict,
      residuals: studied.residuals,
      regions: region?.ok ? 1 + region.value.holes.length : 0,
      areaMm2: region?.ok ? regionArea(region.value) : 0,
      ...(run ? { isPath: true } : {}),
      sentence:
        made.ok || studied.conflict.length > 0 ? drawingSentence(studied, named) : sentenceOf(made.fault),
    },
  };
}

import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair, settledStep, type EvaluatedRepair } from '@core/fitting/fit';
import { fileStem, outlineSvg } from '@core/making/formats';
import type { RepairFileContent, SettledStep } from '@core/record/model';
import { DIMENSION_WORDS, drawingSentence, RELATION_WORDS, sentenceOf } from '@core/reporting/wording';
import { drawnInput, studyDrawn, type DrawnData } from '@core/shaping/drawn';
import { drawnRegion, regionArea } from '@core/shaping/outline';
import { outlineNumbers } from '@core/shaping/part';
import { ownValue } from '@core/foundations/own';

import { writeWhole, type Telling } from './build';

type Drawn = Extract<Extract<SettledStep, { kind: 'extrude' }>['outline'], { shape: 'drawn' }>;

/** Drawn outlines of a step, wherever they stand in it. */
function drawnIn(data: unknown): Drawn[] {
  if (typeof data !== 'object' || data === null) return [];
  if ('shape' in data && data.shape === 'drawn') return [data as Drawn];
  return Object.values(data).flatMap(drawnIn);
}

/** What is told of an outline, and how its SVG is made if there is one. */
interface Told {
  well: boolean;
  line: object;
  svg: ((title: string) => string) | null;
}

/**
 * Solves every drawn outline of a repair, prints one JSON line for each and writes an SVG at true size.
 * @returns false if one of them can't hold what it should, or is no region.
 */
export function outlines(
  { repair, workshop }: RepairFileContent,
  outFolder: string,
  { print, tell }: Pick<Telling, 'print' | 'tell'>,
): boolean {
  mkdirSync(outFolder, { recursive: true });
  const numbers = evaluateRepair(repair, workshop);
  let allWell = true;
  let found = 0;
  for (const body of repair.bodies.filter(({ removed }) => !removed))
    for (const [index, step] of body.steps.entries()) {
      const settled = settledStep(step, numbers);
      if (!settled.ok) {
        allWell = false;
        tell(`${body.name}, step ${index + 1}: ${sentenceOf(settled.fault)}`);
        continue;
      }
      for (const [which, outline] of drawnIn(settled.value).entries()) {
        found += 1;
        const stem = `${fileStem(repair.head.name, body.name)}-step-${index + 1}`;
        const name = `${stem}${which > 0 ? `-${which + 1}` : ''}.svg`;
        const told = outlineLine(outline, numbers);
        allWell &&= told.well;
        if (told.svg)
          writeWhole(
            join(outFolder, name),
            new TextEncoder().encode(told.svg(`${body.name}, step ${index + 1}`)),
          );
        print(
          JSON.stringify({ body: body.name, step: index + 1, ...told.line, files: told.svg ? [name] : [] }),
        );
      }
    }
  if (found === 0) tell('No step of this repair has a drawn outline.');
  return allWell;
}

function outlineLine(outline: Drawn, numbers: EvaluatedRepair): Told {
  const lengths = outlineNumbers(outline, numbers);
  if (!lengths.ok) return { well: false, line: { sentence: sentenceOf(lengths.fault) }, svg: null };
  const data = outline as DrawnData;
  const input = drawnInput(data, (path) => ownValue(lengths.value, path));
  const studied = studyDrawn(input);
  const region = drawnRegion(data, lengths.value);
  const named = (id: string) => {
    const dimension = input.dimensions.find((one) => one.dimension.id === id);
    if (dimension) return dimension.tag ?? DIMENSION_WORDS[dimension.dimension.kind].toLowerCase();
    const relation = input.relations.find((one) => one.id === id);
    return relation ? RELATION_WORDS[relation.kind].toLowerCase() : id;
  };
  return {
    well: region.ok && studied.conflict.length === 0,
    svg: region.ok ? (title) => outlineSvg(region.value, title) : null,
    line: {
      points: Object.fromEntries(studied.points),
      waysLeft: studied.freedom.waysLeft,
      conflicts: studied.conflict,
      residuals: studied.residuals,
      regions: region.ok ? 1 + region.value.holes.length : 0,
      areaMm2: region.ok ? regionArea(region.value) : 0,
      sentence:
        region.ok || studied.conflict.length > 0 ? drawingSentence(studied, named) : sentenceOf(region.fault),
    },
  };
}

import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { PRINT_FIGURES, printFigure, printFigureKey } from '@core/making/figures';
import { STEP_KINDS } from '@core/record/model';
import { startKernel } from '@core/shaping/kernel';
import { choiceFigure, starterFigure, stepFigure } from '@core/shaping/solid';
import { CHOICE_FIGURES } from '@core/shaping/sentence';
import { STARTERS } from '@core/shaping/starters';
import { lettersFont } from '@core/testing/lettersFont';

/** Two hundredths of a millimetre are less than a line is wide; of a choice, which is drawn small, ten are. */
const rounded = (perMm: number) => (_key: string, value: unknown) =>
  typeof value === 'number' ? Math.round(value * perMm) / perMm : value;
const [FINE, COARSE] = [rounded(50), rounded(10)];

function write(file: string, figures: readonly (readonly [string, unknown])[], round = FINE): void {
  const lines = figures.map(([id, figure]) => `${JSON.stringify(id)}: ${JSON.stringify(figure, round)}`);
  writeFileSync(join(__dirname, '..', '..', 'core', `${file}.json`), `{\n${lines.join(',\n')}\n}\n`);
}

/** Draws every starter at its usual numbers, every kind of step and choice by its example, and print settings from their layers. */
async function main(): Promise<void> {
  const kernel = await startKernel();
  write(
    'shaping/starters/figures',
    STARTERS.map((starter) => [starter.id, starterFigure(kernel, starter)] as const),
  );
  const font = lettersFont();
  write(
    'shaping/steps/figures',
    STEP_KINDS.map((kind) => [kind, stepFigure(kernel, kind, font)] as const),
  );
  write(
    'shaping/steps/choiceFigures',
    CHOICE_FIGURES.map((choice) => [choice, choiceFigure(kernel, choice)] as const),
    COARSE,
  );
  write(
    'making/figures/printFigures',
    PRINT_FIGURES.map((figure) => [printFigureKey(figure), printFigure(figure)] as const),
    COARSE,
  );
}

void main();

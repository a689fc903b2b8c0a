import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { STEP_KINDS } from '@core/record/model';
import { startKernel } from '@core/shaping/kernel';
import { starterFigure, stepFigure } from '@core/shaping/solid';
import { STARTERS } from '@core/shaping/starters';
import { lettersFont } from '@core/testing/lettersFont';

/** Two hundredths of a millimetre are less than a line is wide. */
const round = (_key: string, value: unknown) =>
  typeof value === 'number' ? Math.round(value * 50) / 50 : value;

function write(room: string, figures: readonly (readonly [string, unknown])[]): void {
  const lines = figures.map(([id, figure]) => `${JSON.stringify(id)}: ${JSON.stringify(figure, round)}`);
  writeFileSync(
    join(__dirname, '..', '..', 'core', 'shaping', room, 'figures.json'),
    `{\n${lines.join(',\n')}\n}\n`,
  );
}

/** Draws every starter at its usual numbers, and every kind of step by its example. */
async function main(): Promise<void> {
  const kernel = await startKernel();
  write(
    'starters',
    STARTERS.map((starter) => [starter.id, starterFigure(kernel, starter)] as const),
  );
  const font = lettersFont();
  write(
    'steps',
    STEP_KINDS.map((kind) => [kind, stepFigure(kernel, kind, font)] as const),
  );
}

void main();

import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { startKernel } from '@core/shaping/kernel';
import { starterFigure } from '@core/shaping/solid';
import { STARTERS } from '@core/shaping/starters';

/** Two hundredths of a millimetre are less than a line is wide. */
const round = (_key: string, value: unknown) =>
  typeof value === 'number' ? Math.round(value * 50) / 50 : value;

/** Draws every starter at its usual numbers, as they are offered where a repair begins. */
async function main(): Promise<void> {
  const kernel = await startKernel();
  const lines = STARTERS.map(
    (starter) => `${JSON.stringify(starter.id)}: ${JSON.stringify(starterFigure(kernel, starter), round)}`,
  );
  writeFileSync(
    join(__dirname, '..', '..', 'core', 'shaping', 'starters', 'figures.json'),
    `{\n${lines.join(',\n')}\n}\n`,
  );
}

void main();

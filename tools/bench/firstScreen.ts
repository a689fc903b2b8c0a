import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

import { figure, type Figure } from './figure';

/** Files `ui/…/NAME.worker.ts`: each is fetched when it is first needed. */
const WORKERS = readdirSync(join(__dirname, '..', '..', 'ui'), { recursive: true, encoding: 'utf8' }).flatMap(
  (path) => /(\w+)\.worker\.ts$/.exec(path)?.[1] ?? [],
);

/** The script that the list of repairs needs, against that of all screens. What runs in threads of its own is not counted. */
export function firstScreenFigures(): Figure[] {
  const folder = join(__dirname, '..', '..', 'dist', '_expo', 'static', 'js', 'web');
  if (!existsSync(folder)) {
    console.error('The first screen’s script is left out: build the screens first.');
    return [];
  }
  const scripts = readdirSync(folder).filter(
    (name) => name.endsWith('.js') && !WORKERS.some((worker) => name.startsWith(`${worker}-`)),
  );
  const bytes = (names: readonly string[]) =>
    names.reduce((sum, name) => sum + statSync(join(folder, name)).size, 0) / 1e6;
  const first = scripts.filter((name) => !name.startsWith('screens-'));
  return [
    figure('script of the first screen, against that of all', 'MB', bytes(first), bytes(scripts), {
      atMost: 0.5,
    }),
  ];
}

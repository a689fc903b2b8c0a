import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { OutlineShape } from '@core/foundations/fields';
import { LIST_OF, REPAIR_FILE_VERSION, STEP_KINDS, WORKSHOP_ROWS } from '@core/record/model';
import { STEP_DATA } from '@core/shaping/steps/data';

/** The documents against what they describe: what is added, renamed or taken away has to be told there. */

const ROOT = join(__dirname, '..', '..');
const read = (...path: string[]) => readFileSync(join(ROOT, ...path), 'utf8');
const fileDocument = read('docs', 'repair-file.md');
const words = (text: string) => new Set(text.match(/[A-Za-z]+/g));

describe('docs/repair-file.md', () => {
  test('is of the present version', () => {
    expect(fileDocument).toContain(`# The repair file, version ${REPAIR_FILE_VERSION}`);
    expect(fileDocument).toContain(`"version": ${REPAIR_FILE_VERSION},`);
    expect(fileDocument).toMatch(new RegExp(`${REPAIR_FILE_VERSION} has besides|In ${REPAIR_FILE_VERSION} `));
  });

  test.each(STEP_KINDS)('tells of %s with all its fields', (kind) => {
    const row = fileDocument.split('\n').find((line) => line.startsWith(`| \`${kind}\``));
    expect(row).toBeDefined();
    const told = words(row!);
    const { shape } = STEP_DATA[kind].schema;
    // What all steps have, and what a place is, is told once for all of them.
    const once = ['id', 'kind', 'note', 'off', 'heading', 'on', 'x', 'y', 'xFrom', 'yFrom', 'lift', 'tilt'];
    const left = Object.keys(shape).filter((key) => !once.includes(key) && !told.has(key));
    expect(left).toEqual([]);
    for (const key of once.slice(2)) expect(words(fileDocument).has(key)).toBe(true);
    if ('x' in shape && 'on' in shape) expect(row).toContain('place');
  });

  test('tells of every outline, and of every list of a repair and of a workshop', () => {
    for (const option of OutlineShape.options) {
      const shape = option.shape.shape.value;
      expect([shape, fileDocument.includes(`shape:"${shape}"`)]).toEqual([shape, true]);
    }
    for (const list of Object.values(LIST_OF)) expect(fileDocument).toContain(`"${list}": []`);
    for (const { list } of Object.values(WORKSHOP_ROWS)) expect(fileDocument).toContain(`"${list}": []`);
  });

  test('every version that was written stands frozen beside the tests', () => {
    const frozen = readdirSync(join(ROOT, 'core', 'record', 'model', 'frozen')).join(' ');
    for (let version = 1; version <= REPAIR_FILE_VERSION; version += 1) {
      expect(frozen).toContain(`version-${version}`);
    }
  });
});

/** Routes that sources register, below a path. A route that is written over several lines, too. */
function routesIn(folder: string, below: string): string[] {
  const sources = readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => read(folder, name));
  return [...sources.join('\n').matchAll(/\b(?:router|app)\s*\.(get|post|put|delete)\(\s*'([^']+)'/g)]
    .map(([, method, path]) => {
      const whole = path!.startsWith('/api') ? path! : `${below}${path === '/' ? '' : path}`;
      return `${method!.toUpperCase()} ${whole}`;
    })
    .filter((route) => !route.includes('*'))
    .map((route) => route.replace(/:([a-z]+)/g, (_, name: string) => name.toUpperCase()));
}

test('docs/api.md tells of every route, and of none that is gone', () => {
  const routes = [...routesIn('server', '/api'), ...routesIn('devices', '/api/practice-caliper')];
  const told = [...read('docs', 'api.md').matchAll(/^\| `([A-Z]+ \/api[^`?]*)/gm)].map(([, call]) =>
    call!.trim(),
  );
  expect(told.sort()).toEqual(routes.sort());
  expect(routes.length).toBeGreaterThan(10);
});

test('CONTRIBUTING.md and the documents name files that are there', () => {
  const missing = [
    'CONTRIBUTING.md',
    'README.md',
    ...readdirSync(join(ROOT, 'docs'))
      .filter((name) => name.endsWith('.md'))
      .map((name) => `docs/${name}`),
  ]
    .flatMap((name) =>
      [
        ...read(name).matchAll(/`((?:core|ui|server|tools|app|demo|e2e|docs)\/[A-Za-z0-9_\-/.]+\.[a-z]+)`/g),
      ].map(([, path]) => path!),
    )
    .filter((path) => {
      try {
        read(path);
        return false;
      } catch {
        return true;
      }
    });
  expect([...new Set(missing)]).toEqual([]);
});

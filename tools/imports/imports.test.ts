import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { drawnRooms } from './draw';
import { circlesIn, importsOf, reachedFrom, roomOf, sourceFiles } from './imports';

const ROOT = join(__dirname, '..', '..');
const files = sourceFiles(ROOT);
const imports = importsOf(ROOT, files);
const KERNEL = 'core/kernel/kernel.ts';

test('no files import each other in a circle, types included', () => {
  expect(circlesIn(imports)).toEqual([]);
  expect(
    circlesIn([...imports, { from: 'core/fault/index.ts', to: 'core/solid/index.ts', types: true }]),
  ).not.toEqual([]);
});

test('the kernel is reached from the worker, the command line, the demo’s pictures, benches and tests, and from nothing else', () => {
  const may = (file: string) =>
    /^core\/(kernel|shaping|solid|comparing|make|testing)\//.test(file) ||
    /^core\/steps\/([a-z]+\/)?(solid|solids|upToCurved)\.ts$/.test(file) ||
    /^tools\/(bench|cli|screenshots|starters)\//.test(file) ||
    /^demo\//.test(file) ||
    /^ui\/solid\/(solid\.worker|bodyBench)\.ts$/.test(file) ||
    /\.test\.tsx?$/.test(file);
  const reaching = files.filter((file) => !may(file) && reachedFrom(imports, file).has(KERNEL));
  expect(reaching).toEqual([]);
  expect(reachedFrom(imports, 'ui/solid/solid.worker.ts').has(KERNEL)).toBe(true);
});

test('what a kind of step says, is and begins with is known without the kernel', () => {
  const pure = files.filter(
    (file) =>
      /^core\/(part|fields|model|sentence|wording)\//.test(file) ||
      /^core\/steps\/[a-z]+\/(schema|numbers|first|sentence)\.ts$/.test(file),
  );
  expect(pure.length).toBeGreaterThan(150);
  for (const file of pure.filter((one) => !one.endsWith('.test.ts'))) {
    expect([file, reachedFrom(imports, file).has(KERNEL)]).toEqual([file, false]);
  }
});

test('the words of the first screen do not drag along what works out sizes and fits', () => {
  const heavy = ['core/fit/index.ts', 'core/layout/index.ts', 'core/trial/index.ts', 'core/steps/kinds.ts'];
  const words = reachedFrom(imports, 'core/wording/index.ts');
  expect(words.size).toBeGreaterThan(5);
  expect(heavy.filter((file) => words.has(file))).toEqual([]);
  expect(reachedFrom(imports, 'core/numberWords/index.ts').has(heavy[0]!)).toBe(true);
});

test('the picture of what depends on what is as the imports are', () => {
  expect(readFileSync(join(ROOT, 'docs', 'dependencies.md'), 'utf8')).toBe(drawnRooms(imports));
});

test('rooms of core and of the screens form no circle, and stages do not know each other', () => {
  const own = imports.filter(({ from }) => !/\.test\.tsx?$|\/testing\//.test(from));
  const between = own.map(({ from, to, types }) => ({ from: roomOf(from), to: roomOf(to), types }));
  const inside = between.filter(
    ({ from, to }) => from !== to && /^(core|ui)\//.test(from) && /^(core|ui)\//.test(to),
  );
  expect(circlesIn(inside)).toEqual([]);
  const isStage = (room: string) => room.startsWith('ui/stages/');
  expect(inside.filter(({ from, to }) => isStage(from) && isStage(to))).toEqual([]);
});

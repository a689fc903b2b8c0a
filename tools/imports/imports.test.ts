import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { drawnRooms } from './draw';
import { circlesIn, importsOf, reachedFrom, roomOf, sourceFiles } from './imports';

const ROOT = join(__dirname, '..', '..');
const files = sourceFiles(ROOT);
const imports = importsOf(ROOT, files);
const KERNEL = 'core/shaping/kernel/kernel.ts';

test('no files import each other in a circle, types included', () => {
  expect(circlesIn(imports)).toEqual([]);
  expect(
    circlesIn([
      ...imports,
      { from: 'core/foundations/fault/index.ts', to: 'core/shaping/solid/index.ts', types: true },
    ]),
  ).not.toEqual([]);
});

test('the kernel is reached from the worker, the command line, the demo’s pictures, benches and tests, and from nothing else', () => {
  const may = (file: string) =>
    /^core\/(shaping\/(kernel|forming|solid)|checking\/comparing|reporting\/make|testing)\//.test(file) ||
    /^core\/shaping\/steps\/([a-z]+\/)?(solid|solids|upToCurved|easedRim)\.ts$/.test(file) ||
    /^tools\/(bench|cli|figures|screenshots)\//.test(file) ||
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
      /^core\/(foundations|record|shaping\/(part|sentence)|reporting\/wording)\//.test(file) ||
      /^core\/shaping\/steps\/[a-z]+\/(schema|numbers|first|sentence)\.ts$/.test(file),
  );
  expect(pure.length).toBeGreaterThan(150);
  for (const file of pure.filter((one) => !one.endsWith('.test.ts'))) {
    expect([file, reachedFrom(imports, file).has(KERNEL)]).toEqual([file, false]);
  }
});

test('the words of the first screen do not drag along what works out sizes and fits', () => {
  const heavy = [
    'core/fitting/fit/index.ts',
    'core/measuring/layout/index.ts',
    'core/fitting/trial/index.ts',
    'core/shaping/steps/kinds.ts',
  ];
  const words = reachedFrom(imports, 'core/reporting/wording/index.ts');
  expect(words.size).toBeGreaterThan(5);
  expect(heavy.filter((file) => words.has(file))).toEqual([]);
  expect(reachedFrom(imports, 'core/reporting/numberWords/index.ts').has(heavy[0]!)).toBe(true);
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

/** The wings of core, each above those that it may use; `making` and `checking` are beside each other. */
const FLOORS = [
  ['foundations'],
  ['record'],
  ['measuring'],
  ['fitting'],
  ['shaping'],
  ['making', 'checking'],
  ['reporting'],
];
/** What a file of core belongs to: its wing. */
const wingOf = (file: string) => file.split('/')[1]!;
const floorOf = (file: string) => FLOORS.findIndex((wings) => wings.includes(wingOf(file)));
/** What the file of a repair holds of each kind of step is said in the folder of that kind. */
const isSchemaOfStep = (file: string) => roomOf(file) === 'core/shaping/steps schemas';

test('core has eight wings, and each uses only those below it, the schemas of steps apart', () => {
  expect(readdirSync(join(ROOT, 'core')).sort()).toEqual([...FLOORS.flat(), 'testing'].sort());
  const inCore = imports.filter(
    ({ from, to }) =>
      [from, to].every((file) => file.startsWith('core/') && !file.startsWith('core/testing/')) &&
      !from.endsWith('.test.ts'),
  );
  expect(inCore.length).toBeGreaterThan(1500);
  const upward = inCore.filter(
    ({ from, to }) =>
      floorOf(to) > floorOf(from) || (floorOf(to) === floorOf(from) && wingOf(to) !== wingOf(from)),
  );
  expect(upward.filter(({ from, to }) => wingOf(from) !== 'record' || !isSchemaOfStep(to))).toEqual([]);
  // Those schemas use nothing but each other and the foundations, so that the record stays below.
  const bySchemas = inCore.filter(({ from, to }) => isSchemaOfStep(from) && !isSchemaOfStep(to));
  expect(bySchemas.filter(({ to }) => wingOf(to) !== 'foundations')).toEqual([]);
});

test.each(FLOORS.flat())('the wing %s says in ten lines what it is, and names each of its rooms', (wing) => {
  const folder = join(ROOT, 'core', wing);
  const told = readFileSync(join(folder, 'index.md'), 'utf8');
  expect(told.trim().split('\n').length).toBeLessThanOrEqual(24);
  for (const part of ['**In:**', '**Out:**', '**Used by:**']) expect(told).toContain(part);
  for (const room of readdirSync(folder).filter((name) => !name.includes('.'))) {
    expect(told).toContain(`| \`${room}\``);
  }
});

import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';

import ts from 'typescript';

/** Folders whose files are the product. */
export const TOP_FOLDERS = ['app', 'core', 'demo', 'devices', 'e2e', 'server', 'tools', 'ui'] as const;

/**
 * An import of one file by another, paths from the root. `types`: nothing of it is left once types are gone. `thread`: it is started
 * in a thread of its own.
 */
export interface Import {
  from: string;
  to: string;
  types: boolean;
  thread?: true;
}

const isSource = (name: string) => /\.tsx?$/.test(name) && !name.endsWith('.d.ts');

/** All source files below folders, from the root, sorted. */
export function sourceFiles(root: string, folders: readonly string[] = TOP_FOLDERS): string[] {
  return folders
    .flatMap((folder) =>
      readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).map((name) =>
        join(folder, name),
      ),
    )
    .filter(isSource)
    .sort();
}

/** Who imports whom among source files; packages are left out. */
export function importsOf(root: string, files: readonly string[]): Import[] {
  const known = new Set(files);
  const find = (path: string) =>
    [path, `${path}.ts`, `${path}.tsx`, `${path}/index.ts`, `${path}/index.tsx`].find((one) =>
      known.has(one),
    );
  return files.flatMap((from) => {
    const source = ts.createSourceFile(
      from,
      readFileSync(join(root, from), 'utf8'),
      ts.ScriptTarget.Latest,
      true,
    );
    const found: Import[] = [];
    const add = (specifier: ts.Node | undefined, types: boolean, thread = false) => {
      if (!specifier || !ts.isStringLiteralLike(specifier)) return;
      const to = find(pathOf(from, specifier.text));
      if (to) found.push({ from, to, types, ...(thread ? { thread } : {}) });
    };
    const look = (node: ts.Node): void => {
      if (ts.isImportDeclaration(node)) add(node.moduleSpecifier, isTypesOnly(node));
      else if (ts.isExportDeclaration(node)) add(node.moduleSpecifier, node.isTypeOnly);
      else if (ts.isCallExpression(node) && node.expression.kind === ts.SyntaxKind.ImportKeyword) {
        add(node.arguments[0], false);
      } else if (ts.isNewExpression(node) && node.expression.getText(source) === 'URL') {
        // A worker is named by its address beside the file.
        const [address] = node.arguments ?? [];
        if (address && ts.isStringLiteralLike(address)) add(address, false, true);
      }
      ts.forEachChild(node, look);
    };
    look(source);
    return found;
  });
}

function isTypesOnly({ importClause }: ts.ImportDeclaration): boolean {
  if (!importClause) return false;
  if (importClause.isTypeOnly) return true;
  const { name, namedBindings } = importClause;
  return (
    !name &&
    namedBindings !== undefined &&
    ts.isNamedImports(namedBindings) &&
    namedBindings.elements.length > 0 &&
    namedBindings.elements.every((one) => one.isTypeOnly)
  );
}

function pathOf(from: string, specifier: string): string {
  const alias = /^@(core|ui|server|devices)\/(.*)$/.exec(specifier);
  if (alias) return `${alias[1]}/${alias[2]}`;
  return specifier.startsWith('.') ? normalize(join(dirname(from), specifier)) : specifier;
}

/** Files that import each other in a circle, each circle once (strongly connected parts: Tarjan, 1972). */
export function circlesIn(imports: readonly Import[]): string[][] {
  const next = new Map<string, string[]>();
  for (const { from, to } of imports) next.set(from, [...(next.get(from) ?? []), to]);
  const place = new Map<string, number>();
  const lowest = new Map<string, number>();
  const stack: string[] = [];
  const circles: string[][] = [];
  const visit = (file: string): void => {
    place.set(file, place.size);
    lowest.set(file, place.get(file)!);
    stack.push(file);
    for (const to of next.get(file) ?? []) {
      if (!place.has(to)) {
        visit(to);
        lowest.set(file, Math.min(lowest.get(file)!, lowest.get(to)!));
      } else if (stack.includes(to)) {
        lowest.set(file, Math.min(lowest.get(file)!, place.get(to)!));
      }
    }
    if (lowest.get(file) !== place.get(file)) return;
    const circle = stack.splice(stack.indexOf(file));
    if (circle.length > 1) circles.push(circle.sort());
  };
  for (const file of next.keys()) if (!place.has(file)) visit(file);
  return circles;
}

/** Every file that is loaded in one thread when one is: what it imports, and so on, types left out. */
export function reachedFrom(imports: readonly Import[], start: string): Set<string> {
  const next = new Map<string, string[]>();
  for (const { from, to, types, thread } of imports) {
    if (!types && !thread) next.set(from, [...(next.get(from) ?? []), to]);
  }
  const reached = new Set([start]);
  for (const file of reached) for (const to of next.get(file) ?? []) reached.add(to);
  return reached;
}

/** The kinds of steps are in three layers: what is kept of them, what is said and known of them, and their solids. */
function layerOfSteps(file: string): string {
  if (/\/(schema|data|facts)\.ts$/.test(file)) return 'core/shaping/steps schemas';
  return /\/(solid|solids|upToCurved|easedRim)\.ts$/.test(file)
    ? 'core/shaping/steps solids'
    : 'core/shaping/steps words';
}

/** The room that a file is in: `core/record/model`, `ui/stages/shape`; other folders as a whole. */
export function roomOf(file: string): string {
  const [top, second, third] = relative('.', file).split('/') as [string, string?, string?];
  if (second === undefined || isSource(second)) return top;
  if (file.startsWith('core/shaping/steps/')) return layerOfSteps(file);
  if (top === 'core' && third && !isSource(third)) return `core/${second}/${third}`;
  if (top === 'ui' && second === 'stages' && third && !isSource(third)) return `ui/stages/${third}`;
  return ['core', 'ui', 'server', 'tools'].includes(top) ? `${top}/${second}` : top;
}

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import ts from 'typescript';

/** A text that a person can read, and where it stands. Values within it are an ellipsis. */
export interface TextForPeople {
  file: string;
  line: number;
  text: string;
  /** It is what a control, a field or a heading is called. */
  isLabel: boolean;
  /** Two spaces stand in a row within it. */
  doubled: boolean;
}

/** Rooms whose texts reach screens, files that are saved, or the command line. */
const ROOMS = [
  'app',
  'ui',
  'server',
  'tools/cli',
  'core/reporting/wording',
  'core/reporting/glossary',
  'core/reporting/numberWords',
  'core/shaping/sentence',
  'core/shaping/steps',
  'core/shaping/starters',
  'core/record/workshop',
  'core/foundations/standards',
  'core/measuring/brief',
  'core/fitting/fit',
  'core/making/printing',
  'core/making/resin',
  'core/making/afterwork',
  'core/checking/inspect',
  'core/shaping/recipe',
  'core/shaping/forming',
];

/** Properties of elements and objects whose texts are for machines. */
const FOR_MACHINES = new Set([
  'className',
  'classNames',
  'contentContainerClassName',
  'style',
  'd',
  'testID',
  'id',
  'key',
  'kind',
  'code',
  'role',
  'accessibilityRole',
  'family',
  'fontFamily',
  'tone',
]);

/** Every text for people of the app, in order of files and lines. */
export function textsForPeople(root: string): TextForPeople[] {
  return ROOMS.flatMap((room) => filesIn(join(root, room)))
    .sort()
    .flatMap((path) => textsIn(path, path.slice(root.length + 1)));
}

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.(test|d)\.tsx?$/.test(name) && !name.includes('testing/'))
    .map((name) => join(folder, name));

function textsIn(path: string, file: string): TextForPeople[] {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: TextForPeople[] = [];
  const add = (node: ts.Node, text: string) => {
    const flat = text.replace(/\s+/g, ' ').trim();
    if (!isForPeople(flat)) return;
    const { line } = source.getLineAndCharacterOfPosition(node.getStart(source));
    const doubled = !ts.isJsxText(node) && /\S {2,}\S/.test(text);
    found.push({ file, line: line + 1, text: flat, isLabel: isLabel(node), doubled });
  };
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (isForMachines(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text);
    else if (ts.isJsxText(node)) add(node, node.text);
    else if (ts.isTemplateExpression(node)) {
      add(node, node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join(''));
    }
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

/** Attributes and properties that name a control, a field or a sheet. */
const LABELS = new Set(['label', 'title', 'heading', 'aria-label', 'accessibilityLabel', 'word']);

const isLabel = (node: ts.Node): boolean => {
  const by = ts.isJsxExpression(node.parent) ? node.parent.parent : node.parent;
  return (ts.isJsxAttribute(by) || ts.isPropertyAssignment(by)) && LABELS.has(by.name.getText());
};

function isForMachines(node: ts.Node): boolean {
  if (ts.isJsxAttribute(node)) return FOR_MACHINES.has(node.name.getText());
  if (ts.isPropertyAssignment(node)) return FOR_MACHINES.has(node.name.getText());
  // What fails within is for the log, and what is compared is no text.
  if (ts.isNewExpression(node)) return /Error|Refusal|RegExp/.test(node.expression.getText());
  return false;
}

/** Words with a space between them, or a word that begins with a capital: no name of a field, class or path. */
const isForPeople = (text: string): boolean =>
  /[A-Za-z]{2}/.test(text) &&
  !/^(https?:|\/|@|\.\/|[a-z]+\/[a-z])/.test(text) &&
  !/(^|\s)(flex|items|gap|text|bg|border|rounded|px|py|p|m|mt|w|h|max|min|font)-[\w[]/.test(text) &&
  (/^[A-Z“][a-z’]/.test(text) || /[A-Za-z’,]\s[A-Za-z“]/.test(text));

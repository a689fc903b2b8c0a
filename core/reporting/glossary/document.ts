import { MEASURING } from './measuring';
import { CODE_ONLY, OURS } from './ours';
import { PRINTING } from './printing';
import { SHAPING } from './shaping';
import type { Term } from './term';

const GROUPS: readonly (readonly [string, Readonly<Record<string, Term>>])[] = [
  ['Printing', PRINTING],
  ['Measuring and fits', MEASURING],
  ['Shaping', SHAPING],
  ['Our own words', OURS],
];

/** The glossary as a page: what screens say, what it is, and what the code calls it. */
export function glossaryDocument(): string {
  const groups = GROUPS.flatMap(([heading, terms]) => [
    `## ${heading}`,
    '',
    ...table(
      ['word', 'what it is', 'in the code'],
      Object.values(terms).map(({ word, says, code }) => [word, says, code ?? '']),
    ),
    '',
  ]);
  return [
    '# Glossary',
    '',
    'The words of the screens, what each means, and what the code calls it. In the app a mark beside a heading or a field opens the same sentence with a drawing. `npm run glossary` writes this page.',
    '',
    ...groups,
    '## Only in the code',
    '',
    ...table(['in the code', 'what it is'], CODE_ONLY),
    '',
  ].join('\n');
}

const table = (head: readonly string[], lines: readonly (readonly string[])[]): string[] => [
  `| ${head.join(' | ')} |`,
  `| ${head.map(() => '---').join(' | ')} |`,
  ...lines.map((cells) => `| ${cells.join(' | ')} |`),
];

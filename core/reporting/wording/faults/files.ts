import type { FilesFault, ValueProblem } from '@core/foundations/fault';
import { ownValue } from '@core/foundations/own';

import { quoted, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const FILES: Sentences<FilesFault> = {
  'file.notJson': () =>
    'This is not a whole repair file: it can’t be read as JSON. It may have been cut short; get it again.',
  'file.notARepairFile': () =>
    'This is not a repair file: it does not say “format”: “even-spare-repair”. Choose another file.',
  'file.otherVersion': ({ version, supported }) =>
    `This repair file has version ${version === undefined ? 'none' : JSON.stringify(version)}; versions up to ${supported} can be read here. Save it again from the program that wrote it.`,
  'file.tooBig': ({ bytes, limitBytes }) =>
    `This file has ${Math.ceil(bytes / 1048576)} MB; repair files of up to ${limitBytes / 1048576} MB can be read. Choose another file.`,
  'file.unknownKey': ({ path, keys }) =>
    `The repair file has something unknown at ${path || 'its top'}: ${keys.map(quoted).join(', ')}. Take it out, or check its spelling.`,
  'file.invalid': ({ path, problem }) =>
    `The repair file has a mistake at ${path || 'its top'}: ${problemWords(problem)}.`,
};

/** "a", "b" or "c"; of very many the first. */
function anyOf(words: readonly string[]): string {
  const shown = words.slice(0, MOST_NAMED);
  const rest = words.length - shown.length;
  if (rest > 0) return `${shown.join(', ')} or one of ${rest} more`;
  return [shown.slice(0, -1).join(', '), shown.at(-1)].filter(Boolean).join(' or ');
}
const MOST_NAMED = 24;

/** What is wrong with a value, in words that go on from its place. */
function problemWords(problem: ValueProblem): string {
  switch (problem.is) {
    case 'tooSmall':
    case 'tooLarge': {
      const { of, limit, limitIsIn } = problem;
      const [within, beyond] =
        problem.is === 'tooSmall' ? ['at least', 'more than'] : ['at most', 'less than'];
      if (of === 'text') return `it must have ${within} ${limit} characters`;
      if (of === 'list') return `it must hold ${within} ${limit}`;
      return `it must be ${limitIsIn ? within : beyond} ${limit}`;
    }
    case 'otherType':
      return `it must be ${ownValue(TYPES, problem.wanted) ?? problem.wanted}`;
    case 'otherValue':
      return `it must be ${anyOf(problem.wanted)}`;
    case 'noKnownKind':
      return 'it is not one of the things allowed here; docs/repair-file.md lists them';
    case 'otherFormat':
      return problem.format === 'regex' ? 'it has the wrong form' : `it is no ${problem.format}`;
    case 'other':
      return problem.message;
    case 'noSuchRow':
      return `there is no ${problem.row} "${problem.id}"`;
    case 'noSuchPoint':
      return `there is no point "${problem.id}"`;
    case 'twice':
      return `${problem.picture ? 'picture ' : ''}"${problem.id}" appears twice`;
    case 'tooMany':
      return `there are more than ${problem.limit}`;
    case 'noPicture':
      return 'it is not a picture that can be read';
    case 'noScan':
      return 'it is not a scan as Even Spare saves it';
  }
}

const TYPES: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  boolean: 'true or false',
  object: 'an object',
  array: 'a list',
  null: 'null',
};

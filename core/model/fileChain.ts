import { stateInPresentWords } from './formerSteps';
import { inPresentForm } from './oldFiles';

type File = Record<string, unknown>;

/**
 * What a file of an earlier version needs to be one of a later one, in order. A version without an entry had more to say than the one
 * before, and nothing that means something else. An entry is never edited once files of its version are about.
 */
const CHAIN: readonly { to: number; change(file: File): File }[] = [
  /** Version 1 had a first form for some weeks. */
  { to: 1, change: (file) => inPresentForm(file) as File },
  /** Steps are called by the words of the field. */
  {
    to: 9,
    change: (file) => ({ ...file, repair: stateInPresentWords(file.repair as File) }),
  },
];

/** A file of a version that is read, as the present version has it. */
export function inPresentVersion(file: object, version: number): object {
  if (!('repair' in file) || typeof file.repair !== 'object' || file.repair === null) return file;
  return CHAIN.filter(({ to }) => to > version || to === 1).reduce(
    (one, { change }) => change(one),
    file as File,
  );
}

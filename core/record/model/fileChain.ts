import { stateInPresentWords } from './formerSteps';
import { inPresentForm } from './oldFiles';

type File = Record<string, unknown>;

/**
 * What files up to a version need to be ones of the next, in order. A version without an entry had more to say than the one before, and
 * nothing that means something else. An entry is never edited once files of its version are about.
 */
const CHAIN: readonly { upTo: number; change(file: File): File }[] = [
  /** Version 1 had a first form for some weeks. */
  { upTo: 1, change: (file) => inPresentForm(file) as File },
  /** From version 9 on steps are called by the words of the field. */
  { upTo: 8, change: (file) => ({ ...file, repair: stateInPresentWords(file.repair as File) }) },
];

/** A file of a version that is read, as the present version has it. */
export function inPresentVersion(file: object, version: number): object {
  if (!('repair' in file) || typeof file.repair !== 'object' || file.repair === null) return file;
  return CHAIN.filter(({ upTo }) => version <= upTo).reduce((one, { change }) => change(one), file as File);
}

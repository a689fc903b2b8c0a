import type { FilesFault } from '@core/fault';

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
  'file.invalid': ({ path, message }) => `The repair file has a mistake at ${path || 'its top'}: ${message}.`,
};

import type { RowsFault } from '@core/foundations/fault';

import { rowWord } from '../rows';
import { type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const ROWS: Sentences<RowsFault> = {
  'row.missing': ({ row }) =>
    `This ${rowWord(row)} is no longer there. Go back to the list and open it again.`,
  'row.refersToNothing': ({ row, refersTo }) =>
    `This ${rowWord(row)} belongs to a ${refersTo} that is no longer there. Bring the ${refersTo} back first.`,
  'row.stale': ({ row }) =>
    `This ${rowWord(row)} was changed somewhere else in the meantime. Choose which of the two to keep.`,
  'row.frozen': ({ letter }) => `Revision ${letter} is frozen and stays as it is. Freeze a new one instead.`,
  'row.listFull': ({ row, limit }) =>
    `A repair has room for ${limit.toLocaleString('en')} ${rowWord(row)}s, deleted ones too, and they are all taken. Begin a new repair for the rest.`,
  'row.double': ({ row, path, id }) =>
    `Two parts of this ${rowWord(row)} have the same name, “${id}” at ${path}. Give each a name of its own.`,
  'photo.notAnImage': () =>
    'This is not a photo that can be read. Choose a JPEG, PNG, WebP, AVIF or TIFF picture.',
  'photo.tooBig': ({ bytes, limitBytes }) =>
    `This photo has ${Math.ceil(bytes / 1048576)} MB; up to ${limitBytes / 1048576} MB can be taken in. Take it smaller, or crop it.`,
  'photo.tooManyPixels': ({ megapixels, limitMegapixels }) =>
    `This photo has ${Math.round(megapixels)} megapixels; up to ${limitMegapixels} can be taken in. Take it smaller, or crop it.`,
  'scan.notAScan': () =>
    'This is not a scan as Even Spare saves it. Choose the scan’s own file beside the spare, and keep it from there.',
  'scan.tooBig': ({ bytes, limitBytes }) =>
    `This scan has ${Math.ceil(bytes / 1048576)} MB; up to ${limitBytes / 1048576} MB can be kept. Reduce its triangles in the scanning program.`,
  'photo.heif': () =>
    'This photo is in the HEIF format, which can’t be read here. Set the camera to JPEG (“most compatible”), or send it as JPEG or PNG.',
  'job.unreadable': ({ line, text }) =>
    `Line ${line} of this job is not valid G-code: “${text}”. If it comes from the machine’s own commands, correct it in the Workshop and slice again.`,
  'job.tooBig': ({ bytes, limitBytes }) =>
    `This job has ${Math.ceil(bytes / 1048576)} MB; up to ${limitBytes / 1048576} MB can be sent at a time. Use thicker layers or fewer pieces, or save the G-code and carry it to the printer.`,
  'job.idTaken': () => 'A job with this id exists already. Slice the part again, then send it.',
  'job.noGcode': () => 'The G-code of this job is no longer kept. Slice the part again, then send it.',
  'job.forNothing': ({ lacks }) =>
    `The ${lacks} of this job is no longer here. Nothing was sent; choose another one, then send again.`,
  'job.missing': () => 'This job is no longer here. Send it again from its layers.',
  'job.over': ({ state }) =>
    `This job is ${state === 'done' ? 'done' : 'over'} already. Send it again to make another.`,
  'job.machineBusy': ({ machine }) =>
    `${machine} is busy with another job. Wait for it or cancel it, then go on.`,
  'device.unknown': () => 'There is nothing of that name on the practice bench. Reload the page.',
};

import type { ServerFault } from '@core/foundations/fault';

import { fileSize } from '../fileSize';
import type { Sentences } from './sentences';

/** What is wrong with the place where things are kept, or with what was sent there; what to do about it. */
export const SERVER: Sentences<ServerFault> = {
  'server.failed': ({ report }) =>
    `Something went wrong on the server (report ${report}). Nothing was changed; try again.`,
  'server.busy': ({ seconds }) =>
    `Another program holds the workshop’s database${seconds >= 2 ? `, for ${seconds} seconds already` : ''}. Nothing was changed; close that program, then try again.`,
  'server.diskFull': () =>
    'The disk that the workshop is kept on is full. Nothing was changed; make room on it, then try again.',
  'server.readOnly': ({ where }) =>
    `The workshop’s folder can’t be written: ${where}. Nothing was changed; give Even Spare the right to write there, then try again.`,
  'server.damaged': ({ where, found }) =>
    `The workshop’s database is damaged (${found}): ${where}. Restore a copy of it; repair files that were saved can be opened again as well.`,
  'server.cut': ({ where }) =>
    `The workshop’s database is empty; it was cut off: ${where}. Restore a copy of it, or take the file away to begin afresh.`,
  'server.dataGone': ({ where }) =>
    `The workshop’s database is no longer where it was: ${where}. Nothing was changed; put it back and start Even Spare again.`,
  'server.photosWithoutData': ({ where }) =>
    `There are photos of a workshop here, but its database is missing: ${where}. Put it back, or move the folder of photos away to begin afresh.`,
  'server.newerData': ({ where, known, found }) =>
    `The workshop’s database was written by a later Even Spare (form ${found}; up to ${known} can be read here): ${where}. Start the later one. Nothing was changed.`,
  'server.notAFolder': ({ where }) =>
    `${where} is not a folder for a workshop. Set EVEN_SPARE_DATA to one that is, or that can be made.`,
  'server.folderInUse': ({ where, by }) =>
    `Another Even Spare is using ${where}${by ? `: ${by}` : ''}. Use that one, or stop it first. Two at once would overwrite each other.`,
  'server.portTaken': ({ port }) =>
    `Port ${port} is taken by another program. If it is an Even Spare, use that one; if not, set EVEN_SPARE_PORT to a free port.`,
  'server.noSuchAddress': ({ host }) =>
    `This computer has no address “${host}” to listen at. Set EVEN_SPARE_HOST to one it has, such as 127.0.0.1.`,
  'server.badSetting': ({ name, value, wanted }) =>
    `${name} is “${value}”; it must be ${wanted}. Change it, then start again.`,
  'server.noPassphrase': ({ host, least }) =>
    `At ${host} others on the network could open the workshop. Set EVEN_SPARE_PASSPHRASE to a passphrase of at least ${least} characters, or leave EVEN_SPARE_HOST out to be reached only from this computer.`,
  'server.otherHost': ({ host }) =>
    `This server is not called “${host}”. Use the address that it printed when it started.`,
  'server.otherPage': ({ origin }) => `A page of ${origin} may not do this here. Do it in Even Spare itself.`,
  'server.passphraseWanted': () => 'This workshop asks for its passphrase. Type it; any name will do.',
  'route.missing': () => 'There is nothing at this address. docs/api.md lists what there is.',
  'server.tooManyGuesses': ({ seconds }) =>
    `The passphrase was wrong too often. Wait ${seconds === 1 ? 'a second' : `${seconds} seconds`}, then type it again.`,
  'workshop.tooLarge': ({ bytes, limitBytes }) =>
    `This change of the Workshop has ${fileSize(bytes)}; up to ${fileSize(limitBytes)} can be taken in at a time. Shorten its texts or its lists.`,
  'request.tooLarge': ({ bytes, limitBytes }) =>
    `This has ${fileSize(bytes)}; up to ${fileSize(limitBytes)} can be taken in here. Send less at a time.`,
  'request.notUnpacked': () => 'What was sent is not compressed as it says. Send it again, or uncompressed.',
  'request.notRead': ({ rule, limit }) =>
    rule === 'nesting'
      ? `What was sent is nested more than ${limit} levels deep. Check what sends it.`
      : `What was sent has more than ${limit.toLocaleString('en')} values. Send less at a time.`,
  'change.tooLarge': ({ bytes, limitBytes }) =>
    `This change has ${fileSize(bytes)}; one change may have ${fileSize(limitBytes)}. If it freezes a revision, save the repair as a file instead.`,
  'change.idTaken': () => 'Another change already has this id. Nothing was changed; reload the page.',
  'repair.tooLarge': ({ bytes, limitBytes }) =>
    `This repair would have ${fileSize(bytes)} with its revisions; up to ${fileSize(limitBytes)} fit into its file. Save it as a file, and go on in a new repair.`,
  'photos.tooLarge': ({ bytes, limitBytes }) =>
    `The photos and scans of this repair would have ${fileSize(bytes)} together; up to ${fileSize(limitBytes)} fit into its file. Take this one smaller, or begin a new repair for more.`,
};

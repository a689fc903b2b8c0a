import type { ServerFault } from '@core/foundations/fault';

/**
 * What a storage error means for people; null for one that is no fault of the storage.
 *
 * @param waitedMs how long another program was waited for.
 */
export function storageFault(error: unknown, where: string, waitedMs = 0): ServerFault | null {
  const code = codeOf(error);
  const { message } = error as Error;
  if (code === 'ENOSPC' || code === 'EDQUOT' || code === 'EFBIG' || code.startsWith('SQLITE_FULL')) {
    return { code: 'server.diskFull' };
  }
  if (['EACCES', 'EPERM', 'EROFS'].includes(code) || code.startsWith('SQLITE_READONLY')) {
    return { code: 'server.readOnly', where };
  }
  if (code === 'ENOTDIR' || code === 'EEXIST') return { code: 'server.notAFolder', where };
  if (code.startsWith('SQLITE_CORRUPT') || code.startsWith('SQLITE_NOTADB')) {
    return { code: 'server.damaged', where, found: message };
  }
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) {
    return { code: 'server.busy', seconds: Math.floor(waitedMs / 1000) };
  }
  // The folder itself can't be read or written to, or the disk does not answer.
  if (code.startsWith('SQLITE_CANTOPEN') || code.startsWith('SQLITE_IOERR')) {
    return { code: 'server.readOnly', where };
  }
  return null;
}

/** Longest wait for another program that holds the database, ms: less than a screen waits for an answer. */
export const BUSY_PATIENCE_MS = 10_000;

export const isBusy = (error: unknown): boolean => /^SQLITE_(BUSY|LOCKED)/.test(codeOf(error));

/** Of errors of the system and of the database; empty for others. */
const codeOf = (error: unknown): string => (error as { code?: string }).code ?? '';

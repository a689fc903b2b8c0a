/** What can be wrong with what is sent to the server: rows, photos, jobs. */
export type RowsFault =
  | { code: 'row.missing'; row: string; id: string }
  | { code: 'row.refersToNothing'; row: string; refersTo: string; id: string }
  | { code: 'row.stale'; row: string; id: string; baseVersion: number; version: number; theirs: unknown }
  | { code: 'row.frozen'; letter: string }
  | { code: 'row.listFull'; row: string; limit: number }
  | { code: 'row.double'; row: string; path: string; id: string }
  | { code: 'photo.notAnImage' }
  | { code: 'photo.heif' }
  | { code: 'photo.tooBig'; bytes: number; limitBytes: number }
  | { code: 'photo.tooManyPixels'; megapixels: number; limitMegapixels: number }
  | { code: 'scan.notAScan' }
  | { code: 'scan.tooBig'; bytes: number; limitBytes: number }
  | { code: 'device.unknown'; what: string }
  | { code: 'job.missing' }
  | { code: 'job.noGcode' }
  | { code: 'job.forNothing'; lacks: 'repair' | 'machine' }
  | { code: 'job.unreadable'; line: number; text: string }
  | { code: 'job.tooBig'; bytes: number; limitBytes: number }
  | { code: 'job.idTaken' }
  | { code: 'job.over'; state: string }
  | { code: 'job.machineBusy'; machine: string };

/** What can be wrong with a repair file. */
export type FilesFault =
  | { code: 'file.notJson' }
  | { code: 'file.notARepairFile' }
  | { code: 'file.otherVersion'; version: unknown; supported: number }
  | { code: 'file.tooBig'; bytes: number; limitBytes: number }
  | { code: 'file.unknownKey'; path: string; keys: string[] }
  | { code: 'file.invalid'; path: string; message: string };

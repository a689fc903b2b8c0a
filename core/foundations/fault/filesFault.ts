/** What is wrong with a value in a file. */
export type ValueProblem =
  | { is: 'tooSmall' | 'tooLarge'; of: 'text' | 'list' | 'number'; limit: string; limitIsIn: boolean }
  | { is: 'otherType'; wanted: string }
  | { is: 'otherValue'; wanted: string[] }
  | { is: 'noKnownKind' }
  | { is: 'otherFormat'; format: string }
  /** What the schema itself says of it. */
  | { is: 'other'; message: string }
  | { is: 'noSuchRow'; row: string; id: string }
  | { is: 'noSuchPoint'; id: string }
  | { is: 'twice'; id: string; picture?: true }
  | { is: 'tooMany'; limit: number }
  | { is: 'noPicture' }
  | { is: 'noScan' };

/** What can be wrong with a repair file. */
export type FilesFault =
  | { code: 'file.notJson' }
  | { code: 'file.notARepairFile' }
  | { code: 'file.otherVersion'; version: unknown; supported: number }
  | { code: 'file.tooBig'; bytes: number; limitBytes: number }
  | { code: 'file.unknownKey'; path: string; keys: string[] }
  | { code: 'file.invalid'; path: string; problem: ValueProblem };

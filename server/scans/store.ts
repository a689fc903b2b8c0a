import { no, ok, type Fault, type Result } from '@core/fault';
import { trianglesOfPly } from '@core/formats';

import { HashedFiles } from '../files/hashedFiles';

/** Largest scan that is kept, bytes: half a million triangles with their corners have 10 MB. */
export const SCAN_LIMIT_BYTES = 16 * 1024 * 1024;

/** A scan as it lies in the folder. */
export interface StoredScan {
  file: string;
  triangles: number;
}

/** Scans as files: PLY as this program writes it, and nothing else. */
export class ScanStore {
  readonly files: HashedFiles;

  constructor(folder: string) {
    this.files = new HashedFiles(folder, '.ply');
  }

  /** Keeps a scan. The file is safely on disk when this returns. */
  async keep(bytes: Uint8Array): Promise<Result<StoredScan, Fault>> {
    if (bytes.length > SCAN_LIMIT_BYTES) {
      return no({ code: 'scan.tooBig', bytes: bytes.length, limitBytes: SCAN_LIMIT_BYTES });
    }
    const triangles = trianglesOfPly(bytes);
    if (!triangles) return no({ code: 'scan.notAScan' });
    return ok({ file: await this.files.write(bytes), triangles });
  }

  /** Keeps the scans of a repair file; gives the name that each has here by the name it had there. */
  async unpack(
    files: readonly { file: string; base64: string }[],
  ): Promise<Result<Map<string, string>, Fault>> {
    const renamed = new Map<string, string>();
    for (const [index, { file, base64 }] of files.entries()) {
      const kept = await this.keep(Buffer.from(base64, 'base64'));
      if (!kept.ok)
        return no({ code: 'file.invalid', path: `scanFiles[${index}]`, problem: { is: 'noScan' } });
      renamed.set(file, kept.value.file);
    }
    return ok(renamed);
  }
}

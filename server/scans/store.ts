import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { trianglesOfPly } from '@core/making/formats';

import { HashedFiles } from '../files/hashedFiles';
import { unpacked, type Embedded } from '../files/unpacked';

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
  unpack(files: readonly Embedded[]): Promise<Result<Map<string, string>, Fault>> {
    return unpacked(files, (bytes) => this.keep(bytes), { list: 'scanFiles', problem: { is: 'noScan' } });
  }
}
